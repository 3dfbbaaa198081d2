import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { CartesianGrid, Line, LineChart, ReferenceDot, XAxis, YAxis } from 'recharts';
import {
  formatAmount,
  heatCurve,
  planReading,
  titleOf,
  type Formulation,
  type HeatMark,
  type Plan,
} from '@ythrion/core';
import { AXIS, INK } from '../parts/chartStyle';

const LETTER: Record<HeatMark['kind'], string> = { dye: 'D', acid: 'A', goods: 'G', hold: 'H' };
const WORD: Record<HeatMark['kind'], string> = { dye: 'dye', acid: 'acid', goods: 'goods', hold: 'hold' };

/** Temperature against time over the whole work, with holds, acid and dye marked where they happen. */
export function HeatChart({ plan, formulation }: { plan: Plan; formulation: Formulation }) {
  const { place } = formulation;
  const { points, marks } = useMemo(
    () => heatCurve(plan.lines, place.tapC, place.roomC),
    [plan.lines, place.tapC, place.roomC],
  );
  const titles = useMemo(() => {
    const reading = planReading(formulation, plan);
    return new Map(plan.lines.map((line) => [line.id, titleOf(line, reading)]));
  }, [formulation, plan]);
  const end = points.at(-1)?.minute ?? 0;
  return (
    <Box component="figure" sx={{ m: 0, px: { xs: 1.5, sm: 2 }, py: 1, overflowX: 'auto' }}>
      <Box
        role="img"
        aria-label={`Temperature against time, ${formatAmount(end, 'min')} in all, hottest ${Math.round(Math.max(...points.map((point) => point.celsius)))} °C.`}
      >
        <LineChart
          width={900}
          height={220}
          data={points}
          margin={{ top: 22, right: 24, bottom: 18, left: -8 }}
        >
          <CartesianGrid stroke={INK} strokeOpacity={0.15} />
          <XAxis
            {...AXIS}
            dataKey="minute"
            type="number"
            domain={[0, end]}
            tickFormatter={(value: number) => formatAmount(value, 'min')}
          />
          <YAxis {...AXIS} domain={[0, 100]} unit=" °C" width={64} />
          <Line dataKey="celsius" stroke={INK} strokeWidth={2} dot={false} isAnimationActive={false} />
          {marks.map((mark, i) => (
            <ReferenceDot
              key={`${mark.minute}-${i}`}
              x={mark.minute}
              y={mark.celsius}
              r={3.5}
              fill={INK}
              stroke={INK}
              label={{
                value: LETTER[mark.kind],
                position: i % 2 === 0 ? 'top' : 'bottom',
                fill: INK,
                fontSize: 12,
                fontWeight: 700,
              }}
            />
          ))}
        </LineChart>
      </Box>
      <Typography component="figcaption" variant="caption" color="text.secondary">
        {(Object.keys(LETTER) as HeatMark['kind'][])
          .map((kind) => `${LETTER[kind]} ${WORD[kind]}`)
          .join(' · ')}{' '}
        · rises and cooling are estimates
      </Typography>
      <Box component="ol" sx={{ m: 0, mt: 0.5, pl: 2.5, columns: { md: 2 }, fontSize: 12.5 }}>
        {marks.map((mark, i) => (
          <li key={`${mark.lineId}-${i}`}>
            {LETTER[mark.kind]} {formatAmount(mark.minute, 'min')}, {mark.celsius.toFixed(0)} °C:{' '}
            {titles.get(mark.lineId)}
          </li>
        ))}
      </Box>
    </Box>
  );
}
