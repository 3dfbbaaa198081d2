import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import {
  comparePlans,
  dayOf,
  planOrWhy,
  type ColorwayOnList,
  type Plan,
  type ShelfResponse,
} from '@ythrion/core';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { ComparedValue } from '../parts/ComparedValue';

export interface CompareVersionsProps {
  versions: readonly ColorwayOnList[];
  /** The draft as it stands, as the other side of the first comparison. */
  plan: Plan;
  shelf: ShelfResponse;
}

const NOW = 'now';

/** Two versions of a colorway line by line; what differs is marked in words and weight. */
export function CompareVersions({ versions, plan, shelf }: CompareVersionsProps) {
  const [left, setLeft] = useState(String(versions[1]?.version ?? versions[0]?.version ?? NOW));
  const [right, setRight] = useState(NOW);
  const options = [
    { value: NOW, label: 'as it stands here' },
    ...versions.map(({ version, savedAt }) => ({
      value: String(version),
      label: `version ${version} · ${dayOf(savedAt)}`,
    })),
  ];
  const plans = useMemo(() => {
    const of = (which: string): { plan: Plan | null; problem: string | null } => {
      const found = versions.find(({ version }) => String(version) === which);
      return found ? planOrWhy(found, shelf) : { plan, problem: null };
    };
    return { left: of(left), right: of(right) };
  }, [versions, left, right, shelf, plan]);
  const problem = plans.left.problem ?? plans.right.problem;
  const lines = plans.left.plan && plans.right.plan ? comparePlans(plans.left.plan, plans.right.plan) : [];
  const differing = lines.filter((line) => line.differs).length;
  return (
    <Box
      component="section"
      aria-label="Compare versions"
      sx={{ px: { xs: 1.5, sm: 2 }, py: 1, borderBottom: 1, borderColor: 'divider' }}
    >
      <Sentence>
        <SaidChoice label="This version" value={left} options={options} onChange={setLeft} /> beside{' '}
        <SaidChoice label="Beside" value={right} options={options} onChange={setRight} />
      </Sentence>
      <Typography variant="body2" role="status">
        {problem !== null
          ? `✕ One of them cannot be planned with the shelf of today. ${problem}`
          : differing === 0
            ? 'They say the same in every line.'
            : `${differing} of ${lines.length} lines differ, marked ≠.`}
      </Typography>
      <Box sx={{ overflowX: 'auto', pb: '4px' }}>
        <Table size="small" aria-label="Versions line by line" sx={{ maxWidth: 860 }}>
          <TableHead>
            <TableRow>
              <TableCell />
              <TableCell>Line</TableCell>
              <TableCell align="right">This version</TableCell>
              <TableCell align="right">Beside</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {lines.map((line, i) => (
              <TableRow key={`${line.label}-${i}`}>
                <TableCell sx={{ width: 20, fontWeight: 700 }}>{line.differs ? '≠' : ''}</TableCell>
                <TableCell sx={{ fontWeight: line.differs ? 700 : 400 }}>{line.label}</TableCell>
                <TableCell align="right">
                  <ComparedValue value={line.before} name={`${line.label}, this version`} />
                </TableCell>
                <TableCell align="right">
                  <ComparedValue value={line.after} name={`${line.label}, beside`} />
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
    </Box>
  );
}
