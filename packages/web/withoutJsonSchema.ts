import type { Plugin } from 'vite';

/**
 * Leaves out of the screens what zod makes JSON Schemas with: every schema refers to it, none of the screens asks for it,
 * and it is a fifth of zod. Whoever does ask is told.
 */
export function withoutJsonSchema(): Plugin {
  const refused = `() => { throw new Error('JSON Schemas are made by the server, not by the screens.'); }`;
  return {
    name: 'without-json-schema',
    apply: 'build',
    transform(_code, id) {
      if (/zod\/v4\/core\/to-json-schema\.js$/.test(id))
        return `const no = ${refused};
          export const createToJSONSchemaMethod = () => no, createStandardJSONSchemaMethod = () => no;
          export const initializeContext = no, processSchema = no, process = no, extractDefs = no, finalize = no, handleUnrepresentable = no;`;
      if (/zod\/v4\/core\/json-schema-(processors|generator)\.js$/.test(id)) {
        const names = [..._code.matchAll(/export (?:const|function|class) (\w+)/g)].map((found) => found[1]);
        return `const no = ${refused}; export const ${names.map((name) => `${name} = no`).join(', ')};`;
      }
      return null;
    },
  };
}
