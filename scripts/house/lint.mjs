import { ESLint } from 'eslint';
import { text } from 'node:stream/consumers';

/** Lints texts as if they were files: `[{ file, text }]` in, the rules that each breaks out. */
const eslint = new ESLint();
const planted = JSON.parse(await text(process.stdin));
const broken = [];
for (const { file, text: source } of planted) {
  const [result] = await eslint.lintText(source, { filePath: file });
  broken.push([...new Set((result?.messages ?? []).map(({ ruleId, message }) => ruleId ?? message))]);
}
console.log(JSON.stringify(broken));
