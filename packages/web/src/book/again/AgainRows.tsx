import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { AgainRow } from '@ythrion/core';
import { ComparedValue } from '../../parts/ComparedValue';

/** Then and now, row by row. @param of what the rows are, as their column is headed */
export function AgainRows({ name, of, rows }: { name: string; of: string; rows: readonly AgainRow[] }) {
  return (
    <Box sx={{ overflowX: 'auto', pb: '4px' }}>
      <Table size="small" aria-label={name}>
        <TableHead>
          <TableRow>
            <TableCell>{of}</TableCell>
            <TableCell align="right">Then</TableCell>
            <TableCell align="right">Now</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ key, label, then, now, note }) => (
            <TableRow key={key}>
              <TableCell>
                {label}
                {note !== null && (
                  <Typography variant="caption" component="div" color="text.secondary">
                    {note}
                  </Typography>
                )}
              </TableCell>
              <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                <ComparedValue value={then} name={`${label}, then`} />
              </TableCell>
              <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                <ComparedValue value={now} name={`${label}, now`} px={18} />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
