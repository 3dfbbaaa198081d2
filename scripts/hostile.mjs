// Ten thousand requests that no page of ours makes, over all routes: npm run hostile [how many]
import { install } from './prepare.mjs';
import { runLocal } from './steps.mjs';

install();
runLocal('jest', ['packages/server/src/http/hostile'], {
  env: { ...process.env, YTHRION_HOSTILE: process.argv[2] ?? '10000' },
});
