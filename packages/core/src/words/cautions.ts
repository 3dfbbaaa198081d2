import type { CautionName } from '../materials/cautionNames';

const DEFER = 'Follow the dye maker’s safety sheet and your local rules.';

/** The usual cautions in plain words, each deferring to the safety sheet. */
export const CAUTIONS: Record<CautionName, string> = {
  powder: `Powder is open: fit a particulate mask, gloves and eye cover, wet the work top, no fans, close the jar at once. With asthma or sensitization to dyes, ask a clinician first. ${DEFER}`,
  acid: `Acid into water, not water onto acid. Never near bleach. Gloves and eye cover. ${DEFER}`,
  scald: `Water from 60 °C scalds. Keep children and animals out, ventilate, and let the pot cool before you lift the goods. ${DEFER}`,
  steam: `Steam scalds through a wrap: open it away from your face. Keep 5 cm of water under the rack, goods clear of it. ${DEFER}`,
  oven: `Only in an oven and pans that never go back to food. Keep the goods wet to the end. ${DEFER}`,
  microwave: `Never seal a bag or wrap: leave a vent. Short turns, let stand between. Only in a microwave that never goes back to food. ${DEFER}`,
  unattended: `Do not leave heat unattended, and keep the pot from boiling dry. ${DEFER}`,
  hotWool: `This wool felts: no stirring above 60 °C, no cold water on hot goods, no rubbing.`,
  disposal: `Exhaust the bath before it goes out; dispose by your local code. ${DEFER}`,
};
