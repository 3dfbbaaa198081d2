import { useState, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  cupReach,
  dyeName,
  formatAmount,
  isLargePour,
  quantityFor,
  readingOf,
  spoonTaps,
  type AdditionChoice,
  type Cup,
  type CupTap,
  type ShelfResponse,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { PourButton } from '../parts/HeldButton';
import { QuantityField } from '../parts/QuantityField';

export interface CupKeysProps {
  cup: Cup;
  shelf: ShelfResponse;
  onTap: (tap: CupTap) => void;
  onPour: () => void;
  onTowel: () => void;
  onKeep: () => void;
  onBeforeBlack: () => void;
}

const Row = ({ columns, children }: { columns: string; children: ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: columns, gap: 0.75, mt: 0.75 }}>{children}</Box>
);

/** What is in reach as large keys, the spoons for the one in hand, and what is done with the cup. */
export function CupKeys(props: CupKeysProps) {
  const { cup, shelf, onTap, onPour, onTowel, onKeep, onBeforeBlack } = props;
  const { keys, others } = cupReach(cup, shelf);
  const [chosen, setChosen] = useState<string | null>(null);
  const [more, setMore] = useState(false);
  const choice = [...keys, ...others].find(({ key }) => key === chosen) ?? keys[0];
  const shown = choice && !keys.includes(choice) ? [...keys, choice] : keys;
  return (
    <>
      <Row columns={`repeat(${Math.min(4, shown.length + 1)}, 1fr)`}>
        {shown.map((one) => (
          <DyeKey
            key={one.key}
            choice={one}
            shelf={shelf}
            on={one.key === choice?.key}
            onPress={() => {
              setChosen(one.key);
              setMore(false);
            }}
          />
        ))}
        <Button
          variant="outlined"
          aria-expanded={more}
          onClick={() => setMore(!more)}
          sx={{ minWidth: 0, px: 0.5, minHeight: 52 }}
        >
          other
        </Button>
      </Row>
      {more && choice && (
        <Other
          choices={[...keys, ...others]}
          choice={choice}
          shelf={shelf}
          onChoose={setChosen}
          onTap={(tap) => {
            onTap(tap);
            setMore(false);
          }}
        />
      )}
      {!more && choice && (
        <Row columns="repeat(5, 1fr)">
          {spoonTaps(choice, shelf).map(({ spoon, label, tap }) => (
            <PourButton
              key={spoon}
              large={isLargePour(tap)}
              variant="outlined"
              aria-label={`${label} of ${choice.label}`}
              onPour={() => onTap(tap)}
              sx={KEY}
            >
              {label}
            </PourButton>
          ))}
        </Row>
      )}
      <Row columns="1.4fr 1fr 1fr 1fr">
        <Button variant="contained" onClick={onPour} sx={KEY}>
          Pour it
        </Button>
        <Button variant="outlined" onClick={onTowel} sx={KEY}>
          towel, note
        </Button>
        <Button variant="outlined" onClick={onBeforeBlack} sx={KEY}>
          before black
        </Button>
        <Button variant="outlined" onClick={onKeep} sx={KEY}>
          keep the rest
        </Button>
      </Row>
    </>
  );
}

const KEY = { minWidth: 0, px: 0.5, minHeight: 52, lineHeight: 1.1 } as const;

/** A dye or water as a key, with its color along the lower edge. */
function DyeKey({
  choice,
  shelf,
  on,
  onPress,
}: {
  choice: AdditionChoice;
  shelf: ShelfResponse;
  on: boolean;
  onPress: () => void;
}) {
  const { material } = choice;
  const dye = material.kind === 'dye' ? shelf.dyes.find(({ id }) => id === material.dyeId) : undefined;
  return (
    <Button
      variant={on ? 'contained' : 'outlined'}
      aria-pressed={on}
      aria-label={choice.label}
      onClick={onPress}
      sx={{
        ...KEY,
        display: 'block',
        pb: 1.25,
        fontSize: 14,
        borderBottom: 10,
        borderBottomColor: dye?.swatchHex ?? 'divider',
        borderBottomStyle: 'solid',
        '&:hover': { borderBottomColor: dye?.swatchHex ?? 'divider' },
      }}
    >
      {dye ? dyeName(dye.id, shelf.dyes) : choice.label}
      {material.kind === 'dye' && (
        <Box component="span" sx={{ display: 'block', fontSize: 12, fontWeight: 400 }}>
          {material.strengthPercent === null ? 'powder' : `${formatAmount(material.strengthPercent, '%')}`}
        </Box>
      )}
    </Button>
  );
}

/** Anything else on the shelf, in any measure. */
function Other({
  choices,
  choice,
  shelf,
  onChoose,
  onTap,
}: {
  choices: readonly AdditionChoice[];
  choice: AdditionChoice;
  shelf: ShelfResponse;
  onChoose: (key: string) => void;
  onTap: (tap: CupTap) => void;
}) {
  const { material, unit } = choice;
  const [read, setRead] = useState<{ value: number; written: string }>();
  const put = (): void => {
    if (read) onTap({ material, unit, amount: read.value, written: read.written });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, mt: 1, gridTemplateColumns: '1fr 1fr auto', alignItems: 'start' }}>
      <Choice
        label="What"
        value={choice.key}
        options={choices.map(({ key, label }) => ({ value: key, label }))}
        onChange={onChoose}
      />
      <QuantityField
        key={choice.key}
        size="bench"
        label="How much"
        kind={quantityFor(material, unit)}
        value={read?.value}
        context={readingOf(material, shelf)}
        onChange={(value, written) => setRead({ value, written })}
        onUnreadable={() => setRead(undefined)}
        onEnter={put}
      />
      <Button variant="contained" size="large" disabled={!read} onClick={put}>
        Put in
      </Button>
      <Button
        sx={{ gridColumn: '1 / -1' }}
        onClick={() => onTap({ material, unit, amount: null, written: 'a splash' })}
      >
        A splash, not measured
      </Button>
    </Box>
  );
}
