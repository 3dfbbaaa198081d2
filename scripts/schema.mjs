// Writes docs/schema/ from the schemas the application itself checks with: of documents, or of color requests (`color`).
import { runApplication } from './server.mjs';

runApplication(
  process.argv[2] === 'color'
    ? ['schema', '--color', 'docs/schema/color-request.schema.json']
    : ['schema', 'docs/schema/ythrion-3.schema.json'],
);
