import { useState } from 'react';
import Box from '@mui/material/Box';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useNavigate } from 'react-router';
import { dayOf, depthWords, formatAmount, type BatchSummary } from '@ythrion/core';
import { useBook } from '../studio/queries';

const COLUMNS: GridColDef<BatchSummary>[] = [
  { field: 'code', headerName: 'Batch', width: 86 },
  { field: 'startedAt', headerName: 'Begun', width: 112, valueFormatter: (value: string) => dayOf(value) },
  { field: 'name', headerName: 'Colorway', flex: 1.2, minWidth: 140 },
  { field: 'bases', headerName: 'Goods', flex: 1.3, minWidth: 150 },
  {
    field: 'wogGrams',
    headerName: 'Mass',
    width: 84,
    align: 'right',
    headerAlign: 'right',
    valueFormatter: (value: number) => formatAmount(value, 'g'),
  },
  {
    field: 'dosPercent',
    headerName: 'Depth',
    width: 84,
    align: 'right',
    headerAlign: 'right',
    valueFormatter: (value: number) => depthWords(value),
  },
  { field: 'dyes', headerName: 'Dyes', flex: 1.6, minWidth: 160 },
  {
    field: 'outcome',
    headerName: 'Verdict',
    width: 110,
    valueFormatter: (value: string | null) => value ?? 'still wet',
  },
  {
    field: 'standing',
    headerName: 'Standing',
    width: 96,
    valueFormatter: (value: string | null) => value ?? '',
  },
];

/** The Book as a table, a page at a time from the server. */
export function BookTable({ q }: { q: string }) {
  const [page, setPage] = useState({ page: 0, pageSize: 25 });
  const book = useBook(q, page.page * page.pageSize, page.pageSize);
  const navigate = useNavigate();
  return (
    <Box sx={{ px: 2 }}>
      <DataGrid
        aria-label="All batches"
        rows={book.data?.rows ?? []}
        rowCount={book.data?.total ?? 0}
        columns={COLUMNS}
        loading={book.isFetching}
        paginationMode="server"
        paginationModel={page}
        onPaginationModelChange={setPage}
        pageSizeOptions={[25, 50, 100]}
        onRowClick={({ id }) => void navigate(`/book/${id}`)}
        onCellKeyDown={({ id }, event) => {
          if (event.key === 'Enter') void navigate(`/book/${id}`);
        }}
        disableColumnMenu
        disableColumnSorting
        disableRowSelectionOnClick
        rowHeight={44}
        columnHeaderHeight={44}
        sx={{ '& .MuiDataGrid-row': { cursor: 'pointer' } }}
      />
    </Box>
  );
}
