import { readFileSync } from 'node:fs';
import ts from 'typescript';

/**
 * A number written in a source file that means an amount of something.
 * @typedef {{ file: string; start: number; end: number; text: string; line: number; inFunction: boolean }} Literal
 */

/** Calls whose numbers are positions or digits, not amounts. */
const POSITIONS =
  /^(at|slice|splice|substring|substr|charAt|toFixed|toPrecision|padStart|padEnd|with|repeat)$/;

/**
 * The numbers of a file that are neither 0, 1 nor −1, nor a position in a list, nor part of a type.
 * @param {string} file
 * @param {string} [source] its text; read from the disk when left out
 * @returns {Literal[]}
 */
export function literalsOf(file, source = readFileSync(file, 'utf8')) {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.ES2022, true);
  /** @type {Literal[]} */
  const found = [];
  /** @param {ts.Node} node @param {boolean} inFunction */
  const visit = (node, inFunction) => {
    if (
      ts.isTypeNode(node) ||
      ts.isImportDeclaration(node) ||
      (ts.isPropertyName(node) &&
        ts.isNumericLiteral(node) &&
        ts.isPropertyAssignment(node.parent) &&
        node.parent.name === node)
    )
      return;
    if (ts.isNumericLiteral(node) && isAmount(node))
      found.push({
        file,
        start: node.getStart(tree),
        end: node.end,
        text: node.text,
        line: tree.getLineAndCharacterOfPosition(node.getStart(tree)).line + 1,
        inFunction,
      });
    const inside = inFunction || ts.isFunctionLike(node);
    ts.forEachChild(node, (child) => visit(child, inside));
  };
  visit(tree, false);
  return found;
}

/** @param {ts.NumericLiteral} node */
function isAmount(node) {
  if (Number(node.text) === 0 || Number(node.text) === 1) return false;
  const { parent } = node;
  if (ts.isElementAccessExpression(parent) && parent.argumentExpression === node) return false;
  const outer = ts.isPrefixUnaryExpression(parent) ? parent.parent : parent;
  if (!ts.isCallExpression(outer)) return true;
  const name = ts.isPropertyAccessExpression(outer.expression) ? outer.expression.name.text : '';
  return !POSITIONS.test(name);
}

/**
 * The source with every number able to be moved by a fifth: number `first` of all is the first of these.
 * @param {string} source
 * @param {readonly Literal[]} literals of this file
 * @param {number} first
 */
export function movable(source, literals, first) {
  let text = '';
  let from = 0;
  literals.forEach(({ start, end, text: number }, i) => {
    const id = first + i;
    text += `${source.slice(from, start)}(globalThis.__hits[${id}]=1,globalThis.__moved===${id}?${number}*1.2:${number})`;
    from = end;
  });
  return text + source.slice(from);
}
