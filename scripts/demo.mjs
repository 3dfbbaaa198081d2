// Serves the demo studio from a fresh data folder.
import { runApplication } from './server.mjs';

runApplication(['demo']);
