import { useState } from 'react';
import Box from '@mui/material/Box';
import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { useNavigate } from 'react-router';
import { BOOK_ORDERS, dayOf, depthWords, formatAmount, type BatchSummary } from '@ythrion/core';
import { useBook } from '../studio/queries';
import type { AskedOfBook } from './useBookQuery';

const COLUMNS: GridColDef<BatchSummary>[] = [
  { field: 'code', sortable: false, headerName: 'Batch', width: 86 },
  { field: 'startedAt', headerName: 'Begun', width: 128, valueFormatter: (value: string) => dayOf(value) },
  { field: 'name', headerName: 'Colorway', flex: 1.2, minWidth: 140 },
  { field: 'bases', sortable: false, headerName: 'Goods', flex: 1.3, minWidth: 150 },
  {
    field: 'wogGrams',
    headerName: 'Mass',
    width: 104,
    align: 'right',
    headerAlign: 'right',
    valueFormatter: (value: number) => formatAmount(value, 'g'),
  },
  {
    field: 'dosPercent',
    headerName: 'Depth',
    width: 104,
    align: 'right',
    headerAlign: 'right',
    valueFormatter: (value: number) => depthWords(value),
  },
  { field: 'dyes', sortable: false, headerName: 'Dyes', flex: 1.6, minWidth: 160 },
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

/** The Book as a table, a page at a time from the server. A heading puts it in order, rail and all. */
export function BookTable({ asked: { filter, order, way, inOrder } }: { asked: AskedOfBook }) {
  const [page, setPage] = useState({ page: 0, pageSize: 25 });
  const book = useBook({
    ...filter,
    order,
    way,
    offset: page.page * page.pageSize,
    limit: page.pageSize,
  });
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
        sortingMode="server"
        sortModel={[{ field: order, sort: way === 'up' ? 'asc' : 'desc' }]}
        onSortModelChange={([sorted]) => {
          const by = BOOK_ORDERS.find((one) => one === sorted?.field);
          if (by) inOrder(by, sorted?.sort === 'asc' ? 'up' : 'down');
          else inOrder('startedAt', 'down');
        }}
        disableColumnMenu
        disableRowSelectionOnClick
        rowHeight={44}
        columnHeaderHeight={44}
        sx={{ '& .MuiDataGrid-row': { cursor: 'pointer' } }}
      />
    </Box>
  );
}
