import { readFile } from 'node:fs/promises';
import { text } from 'node:stream/consumers';
import { answerColor, colorRequestSchema, FieldError } from '@ythrion/core';
import { searchShared } from './searchShared';
import { SettingError } from './places';

/** Answers a request about colors from a file, or from standard input for `-`, as JSON on standard output. @param program file of this program */
export async function colorFile(file: string, program: string): Promise<void> {
  const asked = await readText(file);
  const { success, data, error } = colorRequestSchema.safeParse(parsed(asked, file));
  if (!success) {
    const [first] = error.issues;
    throw new FieldError(
      first?.path.join('.') ?? '',
      `${first?.path.join('.') ?? ''}: ${first?.message ?? ''}`,
    );
  }
  process.stdout.write(`${JSON.stringify(await answerColor(data, searchShared(program)), null, 1)}\n`);
}

const readText = (file: string): Promise<string> =>
  file === '-'
    ? text(process.stdin)
    : readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
        throw new SettingError(`The file ${file} cannot be read (${error.code ?? 'unknown'}).`);
      });

function parsed(asked: string, file: string): unknown {
  try {
    return JSON.parse(asked);
  } catch (error) {
    throw new SettingError(
      `${file === '-' ? 'What came in' : `The file ${file}`} is no JSON: ${(error as Error).message}.`,
    );
  }
}
