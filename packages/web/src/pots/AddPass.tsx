import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  addPass,
  methodFacts,
  METHOD_KINDS,
  nextPass,
  SCHOOLS,
  unplannedPass,
  type MethodKind,
  type Pass,
} from '@ythrion/core';
import { newId } from '../parts/newId';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import type { ChangeProps } from './changeProps';

type Bath = 'kept' | 'fresh';

/** A pass that nobody had planned: one of this batch once more, a pattern, or another way with one dye. */
export function AddPass({ batch, shelf, change, onDone }: ChangeProps) {
  const { passes } = batch.formulation.recipe;
  const patterns = shelf.patterns.filter(({ retired }) => !retired);
  const dyes = shelf.dyes.filter(({ retired }) => !retired);
  const [like, setLike] = useState(passes.length > 0 ? `pass:${passes.at(-1)?.id ?? ''}` : 'way:immersion');
  const [dyeId, setDyeId] = useState(dyes[0]?.id ?? '');
  const [percent, setPercent] = useState(0.5);
  const [bath, setBath] = useState<Bath>('kept');
  const [kind, id] = [like.slice(0, like.indexOf(':')), like.slice(like.indexOf(':') + 1)];
  const isNew = kind === 'way';
  const made = (): Pass | null => {
    const before = passes.at(-1);
    if (isNew)
      return unplannedPass(
        { like: 'way', kind: id as MethodKind, dyeId, percent },
        bath,
        shelf,
        newId,
        before,
      );
    const pass =
      kind === 'pass'
        ? passes.find((one) => one.id === id)
        : patterns.find((pattern) => pattern.id === id)?.pass;
    return pass ? unplannedPass({ like: 'pass', pass }, bath, shelf, newId, before) : null;
  };
  const put = async (): Promise<void> => {
    const pass = made();
    if (
      pass &&
      (await change(() => addPass(batch, { pass, before: nextPass(batch) }, shelf), 'Pass put in.'))
    )
      onDone();
  };
  return (
    <Box>
      <Sentence>
        <SaidChoice
          label="A pass like"
          value={like}
          options={[
            ...passes.map((pass, i) => ({
              value: `pass:${pass.id}`,
              label: `pass ${i + 1} once more, ${methodFacts(pass.method.kind).label}`,
            })),
            ...patterns.map((pattern) => ({
              value: `pattern:${pattern.id}`,
              label: `pattern ${pattern.name}`,
            })),
            ...METHOD_KINDS.filter((way) => way !== 'own way').map((way) => ({
              value: `way:${way}`,
              label: `one dye by ${methodFacts(way).label}`,
            })),
          ]}
          onChange={setLike}
        />
        {isNew && (
          <>
            :{' '}
            <SaidChoice
              label="Dye"
              value={dyeId}
              options={dyes.map((dye) => ({ value: dye.id, label: dye.name }))}
              onChange={setDyeId}
            />
            , <SaidAmount label={SCHOOLS.depth.label} kind="dos" value={percent} onChange={setPercent} />
          </>
        )}
        ,{' '}
        <SaidChoice
          label="In which bath"
          value={bath}
          options={[
            { value: 'kept', label: 'in the bath that is there' },
            { value: 'fresh', label: 'in fresh water' },
          ]}
          onChange={setBath}
        />
      </Sentence>
      <Button variant="contained" size="large" sx={{ mt: 1 }} onClick={() => void put()}>
        Put it next
      </Button>
    </Box>
  );
}
