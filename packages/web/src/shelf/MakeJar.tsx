import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useNavigate, useSearchParams } from 'react-router';
import {
  CAUTIONS,
  formatAmount,
  dyeSpoon,
  planStock,
  spoonStock,
  stockSchema,
  weighedStock,
  type Dye,
  type ShelfResponse,
  type Stock,
  threeFigures,
  problemsOf,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { usePutOnShelf } from '../studio/queries';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
import { QuantityField } from '../parts/QuantityField';
import { say } from '../parts/say';
import { TextLine } from '../parts/TextLine';
import { WordToggle } from '../parts/WordToggle';
import { ScaleReader } from './ScaleReader';

const WAYS = ['by weight', 'by the spoon'] as const;
type Answer = 'strength' | 'volume';

/** Making a jar of stock: what to weigh, what the scale really showed, and what that makes of the jar. */
export function MakeJar({ id, shelf }: { id: string; shelf: ShelfResponse }) {
  const [params] = useSearchParams();
  const like = shelf.stocks.find((stock) => stock.id === params.get('like'));
  const dyes = shelf.dyes.filter((dye) => !dye.retired);
  const [dyeId, setDyeId] = useState(like?.dyeId ?? dyes[0]?.id ?? '');
  const [way, setWay] = useState<(typeof WAYS)[number]>('by weight');
  const [strength, setStrength] = useState(like?.strengthPercent ?? 1);
  const [volume, setVolume] = useState(like?.volumeMl ?? 500);
  const [teaspoons, setTeaspoons] = useState(0.5);
  const [weighed, setWeighed] = useState<number>();
  const [answer, setAnswer] = useState<Answer>('strength');
  const [label, setLabel] = useState('');
  const [lot, setLot] = useState('');
  const [madeOn, setMadeOn] = useState(() => new Date().toISOString().slice(0, 10));
  const put = usePutOnShelf('stocks');
  const navigate = useNavigate();
  const dye = dyes.find((candidate) => candidate.id === dyeId);
  if (!dye)
    return (
      <Box>
        <Typography sx={{ mb: 1.5 }}>A jar needs a dye first.</Typography>
        <Button component={Link} to="/shelf/dyes/new" variant="contained">
          New dye
        </Button>
      </Box>
    );
  const jar = jarOf({ way, strength, volume, teaspoons, weighed, answer, dye });
  const keep = async (): Promise<void> => {
    const stock = stockSchema.safeParse({
      id,
      code: label,
      dyeId,
      strengthPercent: jar.strengthPercent,
      volumeMl: jar.volumeMl,
      madeOn: madeOn === '' ? null : madeOn,
      lot,
      weighedGrams: weighed ?? null,
      note: way === 'by the spoon' ? 'Made by the spoon: strength is an estimate.' : '',
    });
    if (!stock.success) return say(problemsOf(stock.error.issues)[0]?.message ?? 'This jar cannot be kept.');
    try {
      await put.mutateAsync(stock.data);
      say('The jar is on the shelf.');
      void navigate(`/shelf/stocks/${id}`, { replace: true });
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box
      component="form"
      noValidate
      aria-label="Make a jar of stock"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
      sx={{ display: 'grid', gap: 1.75, maxWidth: 640 }}
    >
      <Typography variant="h2">Make a jar of stock</Typography>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr 1fr' } }}>
        <Choice
          label="Dye"
          value={dyeId}
          options={dyes.map((one) => ({ value: one.id, label: `${one.name} ${one.code}`.trim() }))}
          onChange={setDyeId}
        />
        <TextLine label="Label" value={label} onChange={setLabel} maxLength={16} />
        <TextLine label="Lot of the powder" value={lot} onChange={setLot} maxLength={16} />
      </Box>
      <WordToggle label="How the powder is measured" value={way} words={WAYS} onChange={setWay} />
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr 1fr' } }}>
        {way === 'by weight' ? (
          <QuantityField label="Strength, w/v" kind="stockStrength" value={strength} onChange={setStrength} />
        ) : (
          <QuantityField
            label="Level spoons of powder"
            kind="teaspoons"
            value={teaspoons}
            onChange={setTeaspoons}
          />
        )}
        <QuantityField label="Made" kind="volume" value={volume} onChange={setVolume} />
        <TextLine label="Made on" type="date" value={madeOn} onChange={setMadeOn} />
      </Box>
      {way === 'by weight' ? (
        <Weighing
          strength={strength}
          volume={volume}
          weighed={weighed}
          onWeighed={setWeighed}
          answer={answer}
          onAnswer={setAnswer}
        />
      ) : (
        <Typography component="div">
          That is a stock of{' '}
          <FigureText
            figure={spoonStock(teaspoons, dyeSpoon(dye).grams, volume)}
            name="Strength of a stock made by the spoon"
            px={24}
          />
          {dye.gramsPerTeaspoon === null && '. Weigh one level teaspoon of this powder to know it better.'}
        </Typography>
      )}
      <Typography>
        The jar will say{' '}
        <strong>
          {threeFigures(jar.strengthPercent)} %, {formatAmount(jar.volumeMl, 'mL')}
        </strong>
        .
      </Typography>
      <Typography variant="body2" sx={{ borderLeft: 3, pl: 1 }}>
        {CAUTIONS.powder} Powder into water gives the surest strength; powder in the cup first, then water,
        raises less dust. Both with a mask.
      </Typography>
      <Button type="submit" variant="contained" disabled={put.isPending} sx={{ justifySelf: 'start' }}>
        Put it on the shelf
      </Button>
    </Box>
  );
}

interface JarInputs {
  way: (typeof WAYS)[number];
  strength: number;
  volume: number;
  teaspoons: number;
  weighed: number | undefined;
  answer: Answer;
  dye: Dye;
}

/** What the jar becomes of what was decided and weighed. */
function jarOf({
  way,
  strength,
  volume,
  teaspoons,
  weighed,
  answer,
  dye,
}: JarInputs): Pick<Stock, 'strengthPercent' | 'volumeMl'> {
  if (way === 'by the spoon')
    return {
      strengthPercent: spoonStock(teaspoons, dyeSpoon(dye).grams, volume).value,
      volumeMl: volume,
    };
  if (weighed === undefined) return { strengthPercent: strength, volumeMl: volume };
  const real = weighedStock(weighed, strength, volume);
  return answer === 'strength'
    ? { strengthPercent: strength, volumeMl: real.makeUpTo.value }
    : { strengthPercent: real.trueStrength.value, volumeMl: volume };
}

interface WeighingProps {
  strength: number;
  volume: number;
  weighed: number | undefined;
  onWeighed: (grams: number | undefined) => void;
  answer: Answer;
  onAnswer: (answer: Answer) => void;
}

/** Powder to weigh, what the scale settled on, and the two ways to make it good. */
function Weighing({ strength, volume, weighed, onWeighed, answer, onAnswer }: WeighingProps) {
  const { powder } = planStock(strength, volume);
  const real = weighed === undefined ? null : weighedStock(weighed, strength, volume);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Typography component="div">
        Weigh <FigureText figure={powder} name="Powder to weigh" px={28} /> of powder and make it up to{' '}
        {formatAmount(volume, 'mL')}.
      </Typography>
      <ScaleReader targetGrams={powder.value} onTake={onWeighed} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 2fr' },
          gap: 1.5,
          alignItems: 'center',
        }}
      >
        <QuantityField
          label="Really weighed"
          kind="dyeMass"
          value={weighed}
          onChange={onWeighed}
          onUnreadable={() => onWeighed(undefined)}
        />
        {real && (
          <WordToggle
            label="What holds"
            value={answer}
            words={['strength', 'volume'] as const}
            onChange={onAnswer}
          />
        )}
      </Box>
      {real && (
        <Typography component="div">
          {answer === 'strength' ? (
            <>
              Make it up to{' '}
              <FigureText figure={real.makeUpTo} name="Volume that keeps the strength" px={24} />: the label’s{' '}
              {strength} % holds.
            </>
          ) : (
            <>
              In {formatAmount(volume, 'mL')} it is{' '}
              <FigureText figure={real.trueStrength} name="True strength" px={24} />: write that on the label.
            </>
          )}
        </Typography>
      )}
    </Box>
  );
}
