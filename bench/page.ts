import { planTimes } from './plan';
import { yarnTimes } from './yarn';

/** Hands the benchmarks of plan and yarn to the page they are put into. */
Object.assign(window, { planTimes, yarnTimes });
