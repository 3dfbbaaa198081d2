// Writes docs/schema/ythrion-3.schema.json from the schema the application itself checks documents with.
import { runApplication } from './server.mjs';

runApplication(['schema', 'docs/schema/ythrion-3.schema.json']);
