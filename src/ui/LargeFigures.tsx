import Box from '@mui/material/Box';

/** A few figures side by side, large, each with what it is. */
export function LargeFigures({ figures }: { figures: { value: string; words: string }[] }) {
  return (
    <Box sx={{ display: 'flex', columnGap: 4, rowGap: 1, flexWrap: 'wrap', my: 1 }}>
      {figures.map(({ value, words }) => (
        <Box key={words}>
          <Box sx={{ fontSize: '1.6rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>{value}</Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>{words}</Box>
        </Box>
      ))}
    </Box>
  );
}
