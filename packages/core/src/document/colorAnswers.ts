import { calibrate, type Calibration, type MeasuredShelf } from '../color/calibrate/calibrate';
import { ladderDepth } from '../color/ladderDepth';
import { correct, REACHED } from '../color/match/correct';
import { match, type MatchProgress, type MatchWish } from '../color/match/match';
import { predict } from '../color/predict';
import { FieldError } from '../figure/fieldError';
import { colorEvidence } from './colorEvidence';
import type { ColorRequest, OneColorRequest } from './colorRequest';
import { measuredShelf, targetOf, type Note } from './colorShelf';

/** An answer to one request; what there is to know beside it are sentences. */
export type ColorAnswer = Record<string, unknown> & { notes?: string[] };

/** How a match is searched for: here, or by several at once. */
export type Search = (calibration: Calibration, wish: MatchWish) => Promise<MatchProgress>;
const searchHere: Search = (calibration, wish) => Promise.resolve(match(calibration, wish));

/**
 * Answers everything that is asked of a shelf of measured dyes, in order; the shelf is calibrated once.
 * @throws FieldError naming the field where something cannot be
 */
export async function answerColor(
  { shelf, requests }: ColorRequest,
  search: Search = searchHere,
): Promise<{ answers: ColorAnswer[] }> {
  const ofShelf: string[] = [];
  const note: Note = (text) => {
    if (!ofShelf.includes(text)) ofShelf.push(text);
  };
  const measured = measuredShelf(shelf, note);
  const calibration = calibrate(measured);
  const prices = Object.fromEntries(
    shelf.dyes.flatMap(({ id, pricePerGram }) => (pricePerGram === undefined ? [] : [[id, pricePerGram]])),
  );
  const answers: ColorAnswer[] = [];
  for (const [i, request] of requests.entries()) {
    const notes = [...ofShelf];
    const answer = await answerOne(
      { calibration, shelf: { ...measured, prices }, search },
      request,
      `requests.${i}`,
      (text) => notes.push(text),
    );
    answers.push(notes.length > 0 ? { ...answer, notes } : answer);
  }
  return { answers };
}

/** What was measured, and what a gram of each dye costs where that is known. */
interface PricedShelf extends MeasuredShelf {
  prices: Readonly<Record<string, number>>;
}

/** What there is to answer from. */
interface Asked {
  calibration: Calibration;
  shelf: PricedShelf;
  search: Search;
}

async function answerOne(
  { calibration, shelf, search }: Asked,
  request: OneColorRequest,
  field: string,
  note: Note,
): Promise<ColorAnswer> {
  if (request.kind === 'evidence') return colorEvidence(calibration, shelf, note);
  const base = onShelf(calibration.baseIds, request.baseId, `${field}.baseId`, 'base');
  const dye = (id: string, at: string): string => onShelf(calibration.dyeIds, id, `${field}.${at}`, 'dye');
  switch (request.kind) {
    case 'predict': {
      request.dyes.forEach(({ id }, i) => dye(id, `dyes.${i}.id`));
      deeperThanMeasured(shelf, request.dyes, note);
      const { lab, reflectance, srgb, inGamut, spreadDE00, samples } = predict(
        calibration,
        base,
        request.dyes,
        request.pouringPercent / 100,
      );
      if (!inGamut) note('No screen shows this color: srgb is the nearest that one does.');
      return { lab, reflectance: [...reflectance], srgb, inGamut, spreadDE00, samples };
    }
    case 'match': {
      const { mustUse, mustNotUse, maxDyes } = request;
      mustUse.forEach((id, i) => dye(id, `mustUse.${i}`));
      mustNotUse.forEach((id, i) => dye(id, `mustNotUse.${i}`));
      request.deepest.forEach(({ id }, i) => dye(id, `deepest.${i}.id`));
      const both = mustUse.find((id) => mustNotUse.includes(id));
      if (both !== undefined)
        throw new FieldError(`${field}.mustUse`, `The dye “${both}” must be used and must not be used.`);
      if (mustUse.length > maxDyes)
        throw new FieldError(
          `${field}.maxDyes`,
          `${mustUse.length} dyes must be used, and at most ${maxDyes} may be. Raise the one or shorten the other.`,
        );
      const target = targetOf(request.target, `${field}.target`, note);
      const { candidates, combinations } = await search(calibration, {
        ...request,
        baseId: base,
        target,
        pouring: request.pouringPercent / 100,
        deepest: Object.fromEntries(request.deepest.map(({ id, dosPercent }) => [id, dosPercent])),
        prices: shelf.prices,
        ...(request.maxCostPerKg !== undefined && { mostCostPerKg: request.maxCostPerKg }),
      });
      if (request.maxCostPerKg !== undefined) unpriced(calibration.dyeIds, shelf.prices, note);
      const nearest = Math.min(...candidates.map(({ deltaE00 }) => deltaE00));
      const reachable = nearest <= REACHED;
      if (combinations === 0) note('No dye may be used: nothing is left to match with.');
      else if (candidates.length === 0)
        note(`Nothing that was tried stays under ${request.maxCostPerKg ?? 0} a kilogram of goods.`);
      else if (!reachable)
        note(`No choice of these dyes gets there: the nearest is ΔE00 ${nearest.toFixed(1)} away.`);
      return {
        candidates: candidates.map(({ costPerKg, ...candidate }) =>
          costPerKg === null ? candidate : { ...candidate, costPerKg },
        ),
        combinations,
        reachable,
      };
    }
    case 'correct': {
      request.tried.forEach(({ dyes }, t) => dyes.forEach(({ id }, i) => dye(id, `tried.${t}.dyes.${i}.id`)));
      const target = targetOf(request.target, `${field}.target`, note);
      const { dyes, lab, deltaE00, reachable, words } = correct(calibration, {
        baseId: base,
        target,
        tried: request.tried,
        addOnly: request.addOnly,
        pouring: request.pouringPercent / 100,
      });
      return { dyes, lab, deltaE00, reachable, words };
    }
    case 'depth': {
      const target = targetOf(request.target, `${field}.target`, note);
      const { dosPercent, low, high, deltaE00 } = ladderDepth(
        calibration,
        base,
        dye(request.dyeId, 'dyeId'),
        target,
      );
      if (deltaE00 > FAR)
        note(
          `This color is ΔE00 ${deltaE00.toFixed(1)} from any depth of “${request.dyeId}”: it may be another dye.`,
        );
      return { dosPercent, low, high };
    }
  }
}

/** Dyes without a price cannot be held to a cost. */
function unpriced(dyeIds: readonly string[], prices: Readonly<Record<string, number>>, note: Note): void {
  const without = dyeIds.filter((id) => prices[id] === undefined);
  if (without.length > 0)
    note(
      `Of ${without.map((id) => `“${id}”`).join(', ')} no price is known: recipes with it are held to no cost.`,
    );
}

/** Farther than that from a ladder, a patch is hardly of its dye, ΔE00. */
const FAR = 5;

function onShelf(list: readonly string[], id: string, field: string, what: string): string {
  if (!list.includes(id)) throw new FieldError(field, `There is no ${what} “${id}” on this shelf.`);
  return id;
}

/** A prediction beyond what was measured is said to be one. */
function deeperThanMeasured(
  { samples }: MeasuredShelf,
  dyes: readonly { id: string; dosPercent: number }[],
  note: Note,
): void {
  for (const { id, dosPercent } of dyes) {
    const deepest = Math.max(
      0,
      ...samples.flatMap((sample) => (sample.dyeId === id ? [sample.dosPercent] : [])),
    );
    if (deepest > 0 && dosPercent > 1.5 * deepest)
      note(`“${id}” was measured up to ${deepest} %; what is said of ${dosPercent} % goes beyond that.`);
  }
}
