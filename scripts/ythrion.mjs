// The command line: npm run -s ythrion -- <command>
import { runApplication } from './server.mjs';

runApplication(process.argv.slice(2));
