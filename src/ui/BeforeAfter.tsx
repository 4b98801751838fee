import Box from '@mui/material/Box';

/** What was, beside what is now. */
export function BeforeAfter({ rows }: { rows: { label: string; before: string; after: string }[] }) {
  return (
    <Box
      component="table"
      aria-label="Before and after"
      sx={{
        mt: 2,
        borderCollapse: 'collapse',
        '& td, & th': { textAlign: 'left', pr: 4, py: 0.5 },
        '& td:last-of-type': { fontWeight: 660 },
      }}
    >
      <thead>
        <tr>
          <td />
          <th>Before</th>
          <th>After</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ label, before, after }) => (
          <tr key={label}>
            <td>{label}</td>
            <td>{before}</td>
            <td>{after}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
