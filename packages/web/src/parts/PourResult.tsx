import Typography from '@mui/material/Typography';
import { formatAmount, threeFigures, type PourLine, withTool } from '@ythrion/core';
import { FigureText } from './FigureText';

/** What one dye line comes to: the pour, large, the dye in it, under it how it is measured, and what is known of the dye. */
export function PourResult({ pour, known = [] }: { pour: PourLine; known?: readonly string[] }) {
  return (
    <Typography component="div" variant="body2">
      <FigureText
        figure={pour.volume ?? pour.grams}
        name={pour.volume ? `Pour ${pour.dyeName}` : `Weigh ${pour.dyeName}`}
        px={24}
      />{' '}
      {pour.volume
        ? `of ${threeFigures(pour.strengthPercent ?? 0)} % ${pour.dyeName}`
        : `${pour.dyeName} powder`}
      {pour.volume && (
        <>
          {' '}
          · <FigureText figure={pour.grams} name={`Dye in the pour of ${pour.dyeName}`} /> dye
        </>
      )}
      {pour.school !== 'depth' && (
        <>
          {' '}
          · <FigureText figure={pour.dos} name={`Depth of ${pour.dyeName}`} />
        </>
      )}
      {pour.later.map((dose, i) => (
        <span key={i}>
          {' '}
          · {i === 0 && <FigureText figure={pour.each} name={`First dose of ${pour.dyeName}`} />}, then{' '}
          <FigureText figure={dose.amount} name={`Dose ${i + 2} of ${pour.dyeName}`} />
        </span>
      ))}
      {pour.doses > 1 && pour.later.length === 0 && (
        <>
          {' '}
          · {pour.doses} doses of <FigureText figure={pour.each} name={`One dose of ${pour.dyeName}`} />
        </>
      )}
      {pour.cut && (
        <>
          {' '}
          · cut with <FigureText figure={pour.cut} name={`Citric to cut ${pour.dyeName}`} /> citric
        </>
      )}
      {pour.dosOnDyeable && (
        <>
          {' '}
          · <FigureText figure={pour.dosOnDyeable} name="Depth on the part that takes dye" /> on what takes
          dye
        </>
      )}
      <HowMeasured pour={pour} />
      {known.length > 0 && (
        <Typography variant="caption" component="div" color="text.secondary">
          {pour.dyeName} {known.join(', ')}
        </Typography>
      )}
    </Typography>
  );
}

/** Which tool, what is read on it, and what that gives; or the working dilution a small pour asks for. */
function HowMeasured({ pour: { measured, dilution, each, dyeName } }: { pour: PourLine }) {
  if (dilution)
    return (
      <Typography variant="caption" component="div">
        Too small to read: take{' '}
        <FigureText figure={dilution.take} name={`Stock of ${dyeName} to dilute`} px={13} /> to{' '}
        <FigureText figure={dilution.makeUp} name={`Dilution of ${dyeName}`} px={13} />, pour{' '}
        <FigureText figure={dilution.pour} name={`Pour of diluted ${dyeName}`} px={15} />
        {` ${withTool(dilution.pourWith.name, dilution.pourWith.fills)}, `}
        <FigureText figure={dilution.realDos} name={`Real depth of ${dyeName}`} px={13} /> ±
        <FigureText figure={dilution.error} name={`Reading error of ${dyeName}`} px={13} bare />
      </Typography>
    );
  if (!measured) return null;
  const { reading } = measured;
  const exact = formatAmount(reading.value, reading.unit) === formatAmount(each.value, each.unit);
  return (
    <Typography variant="caption" component="div" color="text.secondary">
      {measured.toolName}
      {measured.fills > 1 && `, ${measured.fills} fills`}
      {!exact && (
        <>
          , read <FigureText figure={reading} name={`Reading for ${dyeName}`} px={13} /> ={' '}
          <FigureText figure={measured.realDos} name={`Real depth of ${dyeName}`} px={13} />
        </>
      )}
      , ±
      <FigureText figure={measured.error} name={`Reading error of ${dyeName}`} px={13} bare />
    </Typography>
  );
}
