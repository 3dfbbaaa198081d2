// Serves the user's own studio.
import { runApplication } from './server.mjs';

runApplication(['serve']);
