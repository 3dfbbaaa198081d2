import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import {
  fiberWords,
  formatAmount,
  jarAgeDays,
  jarWords,
  leftWords,
  methodFacts,
  OLD_STOCK_DAYS,
  plainLook,
  samplesWords,
  toolUnit,
  type ColorsResponse,
  type ShelfResource,
  type ShelfResponse,
} from '@ythrion/core';
import { Hank } from '../parts/Hank';
import { Jar } from '../parts/Jar';
import { LadderStrip } from '../parts/LadderStrip';
import { Vessel } from '../parts/Vessel';
import { useShelfColors } from '../studio/colors';

interface Shown {
  id: string;
  retired: boolean;
  picture: ReactNode;
  name: string;
  words: string;
}

export interface ShelfListProps {
  board: Board;
  shelf: ShelfResponse;
  openId: string | undefined;
  showRetired: boolean;
}

/** One board of the shelf: each thing shown as itself, with its name and what matters about it. */
export function ShelfList({ board, shelf, openId, showRetired }: ShelfListProps) {
  const shown = SHOW[board](shelf, useShelfColors()).filter((item) => showRetired || !item.retired);
  if (shown.length === 0) return <Typography sx={{ px: 2 }}>{EMPTY[board]}</Typography>;
  return (
    <Box component="ul" aria-label={board} sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {shown.map((item) => (
        <Box component="li" key={item.id} sx={{ borderTop: 1, borderColor: 'divider' }}>
          <ButtonBase
            component={Link}
            to={`/shelf/${board}/${item.id}`}
            aria-current={item.id === openId ? 'true' : undefined}
            sx={{
              width: '100%',
              justifyContent: 'flex-start',
              textAlign: 'left',
              gap: 1.5,
              px: 2,
              py: 0.75,
              minHeight: 52,
              borderLeft: '4px solid transparent',
              '&[aria-current]': { borderColor: 'text.primary' },
            }}
          >
            {item.picture}
            <Box sx={{ minWidth: 0 }}>
              <Typography noWrap sx={{ fontWeight: 600 }}>
                {item.name}
                {item.retired && ' (retired)'}
              </Typography>
              <Typography variant="body2" color="text.secondary" noWrap>
                {item.words}
              </Typography>
            </Box>
          </ButtonBase>
        </Box>
      ))}
    </Box>
  );
}

/** What stands on a board of its own; colors that are looked for stand with the colorways, samples with their dyes. */
type Board = Exclude<ShelfResource, 'soughts' | 'samples'>;

const EMPTY: Record<Board, string> = {
  dyes: 'No dye yet. Put your first one here.',
  stocks: 'No jar yet. Make stock, then put the jar here.',
  bases: 'No yarn base yet. Put your first one here.',
  pots: 'No pot yet. Name one, so that each batch says where it stands.',
  tools: 'No tool yet. With your syringes, cylinders and scales here, every pour names the one to take.',
  patterns: 'No pattern yet. Keep a pass as a pattern on the formulation screen.',
};

const SHOW: Record<Board, (shelf: ShelfResponse, colors: ColorsResponse | undefined) => Shown[]> = {
  dyes: (shelf, colors) =>
    shelf.dyes.map((dye) => ({
      id: dye.id,
      retired: dye.retired,
      name: `${dye.name} ${dye.code}`.trim(),
      words: [
        dye.gramsPerTeaspoon === null
          ? 'spoon not weighed'
          : `${formatAmount(dye.gramsPerTeaspoon, 'g')} a teaspoon`,
        ...(colors ? [samplesWords(colors, dye.id) ?? 'color picked, not measured'] : []),
      ].join(' · '),
      picture: (
        <LadderStrip dyeId={dye.id} swatchHex={dye.swatchHex} swatchDosPercent={dye.swatchDosPercent} />
      ),
    })),
  stocks: (shelf) =>
    shelf.stocks.map((stock) => {
      const dye = shelf.dyes.find((candidate) => candidate.id === stock.dyeId);
      const left = shelf.stockLeft[stock.id] ?? 0;
      const old = (jarAgeDays(stock, new Date().toISOString()) ?? 0) > OLD_STOCK_DAYS;
      return {
        id: stock.id,
        retired: stock.retired,
        name: `${dye?.name ?? ''} ${jarWords(stock)}`,
        words: `${leftWords(left)}${stock.madeOn ? `, made ${stock.madeOn}` : ''}${old ? ', old: shake and test it' : ''}`,
        picture: (
          <Jar
            swatchHex={dye?.swatchHex ?? '#888888'}
            strengthPercent={stock.strengthPercent}
            share={left / stock.volumeMl}
          />
        ),
      };
    }),
  bases: (shelf) =>
    shelf.bases.map((base) => ({
      id: base.id,
      retired: base.retired,
      name: `${base.name} ${base.code}`.trim(),
      words: `${fiberWords(base)}, ${formatAmount(base.putUpGrams, 'g')}`,
      picture: (
        <Box sx={{ bgcolor: 'booth', p: '3px' }}>
          <Hank
            look={plainLook(base.hex, base.form, base.id)}
            seed={base.id}
            label={`Undyed ${base.name}`}
            width={44}
            height={44}
          />
        </Box>
      ),
    })),
  pots: (shelf) =>
    shelf.pots.map((pot) => ({
      id: pot.id,
      retired: pot.retired,
      name: pot.name,
      words: `${pot.kind}, ${formatAmount(pot.capacityMl, 'mL')}`,
      picture: <Vessel level={0} hex="#888888" />,
    })),
  tools: (shelf) =>
    shelf.tools.map((tool) => ({
      id: tool.id,
      retired: tool.retired,
      name: tool.name,
      words: `${tool.kind}, ${formatAmount(tool.capacity, toolUnit(tool.kind))}, read to ${formatAmount(tool.graduation, toolUnit(tool.kind))}`,
      picture: null,
    })),
  patterns: (shelf) =>
    shelf.patterns.map((pattern) => ({
      id: pattern.id,
      retired: pattern.retired,
      name: pattern.name,
      words: methodFacts(pattern.pass.method.kind).label,
      picture: null,
    })),
};
