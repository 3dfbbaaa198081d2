import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import { DocumentError, type Problem } from '@ythrion/core';

/**
 * Parses the text of a document strictly as JSON.
 * @throws DocumentError that says in which line and column it stops being JSON
 */
export function parseDocumentText(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    const errors: ParseError[] = [];
    const tree = treeOf(text, errors);
    const first = errors[0];
    const where = first
      ? `line ${lineOf(text, first.offset)}: ${words(printParseErrorCode(first.error))}`
      : tree === 'too deep'
        ? 'and far too deep to be a document'
        : 'it ends too early';
    throw new DocumentError([{ field: '', message: `This is not JSON, ${where}.` }]);
  }
}

/** The same problems with the line each field stands in. */
export function withLines(text: string, problems: readonly Problem[]): Problem[] {
  const tree = treeOf(text, []);
  return problems.map((problem) => {
    if (!tree || tree === 'too deep' || problem.field === '') return problem;
    const path = problem.field.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part));
    while (path.length > 0) {
      const node = findNodeAtLocation(tree, path);
      if (node) return { ...problem, message: `line ${lineOf(text, node.offset)}: ${problem.message}` };
      path.pop();
    }
    return problem;
  });
}

/** The text taken apart, with what is wrong in it; the one who takes it apart goes no deeper than the stack. */
function treeOf(text: string, errors: ParseError[]): Node | 'too deep' | undefined {
  try {
    return parseTree(text, errors, { disallowComments: true });
  } catch (error) {
    if (error instanceof RangeError) return 'too deep';
    throw error;
  }
}

const lineOf = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;
const words = (code: string): string => code.replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
