import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { CartesianGrid, Line, LineChart, ReferenceArea, ReferenceDot, XAxis, YAxis } from 'recharts';
import {
  formatAmount,
  passPhCurve,
  phRange,
  type Formulation,
  type Pass,
  type PlannedAcid,
  type PlannedPass,
} from '@ythrion/core';
import { AXIS, INK } from '../parts/chartStyle';

export interface PhChartProps {
  acid: PlannedAcid;
  pass: Pass;
  planned: PlannedPass;
  formulation: Formulation;
}

/** pH against the amount of acid for this bath: with the goods in, before they go in, and today's dose marked. */
export function PhChart({ acid, pass, planned, formulation }: PhChartProps) {
  const points = useMemo(
    () => passPhCurve(formulation, pass, planned, acid),
    [formulation, pass, planned, acid],
  );
  const values = points.flatMap(({ pH, beforeGoods }) => [pH, beforeGoods]);
  const low = Math.floor(Math.min(...values, planned.phWindow[0]) * 2) / 2;
  const high = Math.ceil(Math.min(8, Math.max(...values, planned.phWindow[1])) * 2) / 2;
  const today = points[(points.length - 1) / 2];
  const { unit } = acid.amount;
  return (
    <Box component="figure" sx={{ m: 0, mt: 0.5 }}>
      <Box
        role="img"
        aria-label={`pH against ${acid.label}: from pH ${points[0]?.pH.toFixed(1)} with none to pH ${points.at(-1)?.pH.toFixed(1)} with ${formatAmount(2 * acid.amount.value, unit)}; today ${formatAmount(acid.amount.value, unit)}, pH ${today?.pH.toFixed(1)}. Usual is ${phRange(planned.phWindow)}.`}
      >
        <LineChart
          width={360}
          height={180}
          data={points}
          margin={{ top: 8, right: 16, bottom: 18, left: -12 }}
        >
          <CartesianGrid stroke={INK} strokeOpacity={0.15} />
          <ReferenceArea y1={planned.phWindow[0]} y2={planned.phWindow[1]} fill={INK} fillOpacity={0.1} />
          <XAxis
            {...AXIS}
            dataKey="amount"
            type="number"
            domain={[0, 'dataMax']}
            interval="preserveStartEnd"
            tickFormatter={(value: number) => formatAmount(value, unit)}
            label={{ value: acid.label, position: 'insideBottom', offset: -12, fill: INK, fontSize: 12 }}
          />
          <YAxis
            {...AXIS}
            domain={[low, high]}
            allowDecimals
            tickFormatter={(value: number) => value.toFixed(1)}
          />
          <Line
            dataKey="beforeGoods"
            stroke={INK}
            strokeDasharray="4 4"
            dot={false}
            isAnimationActive={false}
          />
          <Line dataKey="pH" stroke={INK} strokeWidth={2} dot={false} isAnimationActive={false} />
          {today && <ReferenceDot x={today.amount} y={today.pH} r={5} fill={INK} stroke={INK} />}
        </LineChart>
      </Box>
      <Typography component="figcaption" variant="caption" color="text.secondary">
        ● today’s dose · solid: goods in the bath, an estimate · dashed: before the goods · gray band: usual
        for these dyes, {phRange(planned.phWindow)}
      </Typography>
    </Box>
  );
}
