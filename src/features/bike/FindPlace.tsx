'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { anyOrder } from '@/ui/anyOrder';

/** A place of the bicycle, found by a few letters. */
export function FindPlace({
  places,
  onFind,
  onClose,
}: {
  places: string[];
  onFind(place: string): void;
  onClose(): void;
}) {
  return (
    <Autocomplete
      openOnFocus
      autoHighlight
      blurOnSelect
      options={places}
      getOptionLabel={placeLabel}
      filterOptions={anyOrder}
      onChange={(_event, place) => place && onFind(place)}
      onBlur={onClose}
      sx={{ width: 240 }}
      renderInput={(input) => (
        <TextField
          {...input}
          autoFocus
          label="Find a place"
          onKeyDown={(event) => {
            if (event.key === 'Escape') onClose();
          }}
        />
      )}
    />
  );
}
