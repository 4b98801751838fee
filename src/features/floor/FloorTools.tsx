'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { RefObject } from 'react';
import { FLOOR_ORDERS, type FloorOrder } from '@/model/summary';

const ORDER_WORDS: Record<FloorOrder, string> = {
  next: 'What can be done now',
  name: 'Name',
  newest: 'Newest first',
  money: 'Most money in it',
};

/** Search, order, and what has been put away: for a floor that is more than a glance. */
export function FloorTools({
  search,
  onSearch,
  order,
  onOrder,
  away,
  archived,
  onArchived,
  field,
}: {
  search: string;
  onSearch(words: string): void;
  order: FloorOrder;
  onOrder(order: FloorOrder): void;
  away: number;
  archived: boolean;
  onArchived(archived: boolean): void;
  field: RefObject<HTMLInputElement | null>;
}) {
  return (
    <>
      <TextField
        className="no-print"
        label="Search"
        type="search"
        value={search}
        inputRef={field}
        onChange={(event) => onSearch(event.target.value)}
        sx={{ width: { xs: '100%', sm: 200 } }}
      />
      <TextField
        className="no-print"
        select
        label="Sort by"
        value={order}
        onChange={(event) => onOrder(event.target.value as FloorOrder)}
        sx={{ minWidth: 190 }}
      >
        {FLOOR_ORDERS.map((id) => (
          <MenuItem key={id} value={id}>
            {ORDER_WORDS[id]}
          </MenuItem>
        ))}
      </TextField>
      {(away > 0 || archived) && (
        <Button
          variant={archived ? 'contained' : 'outlined'}
          aria-pressed={archived}
          onClick={() => onArchived(!archived)}
        >
          {archived ? 'Back to the floor' : `Put away: ${away}`}
        </Button>
      )}
    </>
  );
}
