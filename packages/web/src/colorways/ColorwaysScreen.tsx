import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link, useNavigate } from 'react-router';
import {
  formatAmount,
  newSought,
  planOrWhy,
  type ColorwayOnList,
  type Plan,
  type PlanOrWhy,
  type ShelfResponse,
  type YarnLook,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { ColorsRestOn } from '../studio/ColorsRestOn';
import { useColorways, usePutOnShelf, useShelf } from '../studio/queries';
import { Hank } from '../parts/Hank';
import { Waiting } from '../parts/Waiting';
import { Tick } from '../parts/Tick';

/** Every colorway as its yarn, with what it is made of in words. */
export function ColorwaysScreen() {
  const colorways = useColorways();
  const shelf = useShelf();
  const [showRetired, setShowRetired] = useState(false);
  const { data } = shelf;
  if (!colorways.data || !data) return <Waiting error={colorways.error ?? shelf.error} />;
  const shown = colorways.data.filter((colorway) => showRetired || !colorway.retired);
  const retired = colorways.data.length - colorways.data.filter((colorway) => !colorway.retired).length;
  return (
    <Box sx={{ pb: 3 }}>
      <Box sx={{ px: 2, pt: 1.5, pb: 1, display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1">Colorways</Typography>
        <Button component={Link} to="/colorways/new" variant="contained">
          New colorway
        </Button>
        <Button component={Link} to="/colorways/start" variant="outlined">
          Start several
        </Button>
        <Button component={Link} to="/colorways/order" variant="outlined">
          Split an order
        </Button>
        <LookFor />
        {retired > 0 && (
          <Tick
            label={`Show ${retired} retired`}
            checked={showRetired}
            onChange={(on) => setShowRetired(on)}
          />
        )}
      </Box>
      <LookedFor shelf={data} />
      {shown.length === 0 && (
        <Typography sx={{ px: 2 }}>
          No colorway yet. Begin one here, or try amounts in <Link to="/pour">Pour</Link> and keep them.
        </Typography>
      )}
      <Lines colorways={colorways.data} showRetired={showRetired} shelf={data} />
    </Box>
  );
}

interface LinesProps {
  colorways: readonly ColorwayOnList[];
  showRetired: boolean;
  shelf: ShelfResponse;
}

function Lines({ colorways, showRetired, shelf }: LinesProps) {
  const planned = useMemo(
    () =>
      colorways
        .filter(({ retired }) => showRetired || !retired)
        .map((colorway) => ({ colorway, ...planOrWhy(colorway, shelf) })),
    [colorways, showRetired, shelf],
  );
  const looks = planned.flatMap(({ plan }) => lookOf(plan) ?? []);
  return (
    <>
      {looks.length > 0 && (
        <Box sx={{ px: 2, pb: 1 }}>
          <ColorsRestOn looks={looks} shelf={shelf} />
        </Box>
      )}
      <Box
        component="ul"
        sx={{
          m: 0,
          p: 0,
          listStyle: 'none',
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' },
          columnGap: 3,
          px: { xs: 0, sm: 2 },
        }}
      >
        {planned.map((one) => (
          <Line key={one.colorway.id} {...one} />
        ))}
      </Box>
    </>
  );
}

/** The finished hank of a plan. */
const lookOf = (plan: Plan | null): YarnLook | undefined => plan?.goods[0]?.looks.at(-1);

/** A color that is not found yet: its attempts stand side by side until one of them is it. */
function LookFor() {
  const put = usePutOnShelf('soughts');
  const navigate = useNavigate();
  const begin = async (): Promise<void> => {
    const sought = newSought(newId(), 'A color not found yet');
    try {
      await put.mutateAsync(sought);
      void navigate(`/colorways/sought/${sought.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Button variant="outlined" disabled={put.isPending} onClick={() => void begin()}>
      Look for a color
    </Button>
  );
}

/** Colors that are looked for, and not found. */
function LookedFor({ shelf }: { shelf: ShelfResponse }) {
  const open = shelf.soughts.filter(({ retired, foundAs }) => !retired && foundAs === null);
  if (open.length === 0) return null;
  return (
    <Box component="section" aria-label="Looked for" sx={{ px: 2, pb: 2 }}>
      <Typography variant="h2">Looked for</Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {open.map(({ id, name, words }) => (
          <li key={id}>
            <Link to={`/colorways/sought/${id}`}>{name}</Link>
            {words !== '' && `: ${words}`}
          </li>
        ))}
      </Box>
    </Box>
  );
}

/** Depth and dyes of a plan in a line. */
const whatIsIn = ({ totals, passes }: Plan): string =>
  `${formatAmount(totals.dos.value, '%')}${passes.length > 1 ? ` in ${passes.length} passes` : ''} · ${[
    ...new Set(passes.flatMap((pass) => pass.pours.map((pour) => pour.dyeName))),
  ].join(', ')}`;

function Line({ colorway, plan, problem }: { colorway: ColorwayOnList } & PlanOrWhy) {
  const look = lookOf(plan);
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'divider' }}>
      <ButtonBase
        component={Link}
        to={`/colorways/${colorway.id}`}
        sx={{ width: '100%', justifyContent: 'flex-start', gap: 2, p: 1, textAlign: 'left' }}
      >
        <Box sx={{ bgcolor: 'booth', p: 0.5 }}>
          <Hank
            shown="twisted"
            {...(look && { look })}
            seed={`${colorway.id}-${colorway.version}`}
            label={`Hank of ${colorway.name}`}
            width={56}
            height={92}
          />
        </Box>
        <Box sx={{ minWidth: 0 }}>
          <Typography variant="colorway" component="div" noWrap>
            {colorway.name}
          </Typography>
          <Typography variant="body2">{plan ? whatIsIn(plan) : `✕ ${problem}`}</Typography>
          <Typography variant="body2" color="text.secondary">
            {plan && `${plan.goods.map((line) => `${line.count} × ${line.baseName}`).join(', ')} · `}
            {colorway.code !== '' && `code ${colorway.code} · `}version {colorway.version}
            {colorway.retired && ' · retired'}
          </Typography>
        </Box>
      </ButtonBase>
    </Box>
  );
}
