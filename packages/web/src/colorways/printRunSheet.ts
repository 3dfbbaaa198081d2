import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { runSheet, type Colorway, type Formulation, type Plan, type SheetLine } from '@ythrion/core';

/** A box to tick; each its own, for what sets the page writes into it where it came to stand. */
const box = (): Content => ({ canvas: [{ type: 'rect', x: 0, y: 1, w: 10, h: 10, lineWidth: 0.8 }] });

/** Makes the bench's run sheet and hands it to the browser as a file. */
export async function printRunSheet(formulation: Formulation, plan: Plan, colorway: Colorway): Promise<void> {
  const pdfMake = (await import('pdfmake/build/pdfmake')).default;
  const fonts = (await import('pdfmake/build/vfs_fonts')).default;
  pdfMake.addVirtualFileSystem(fonts);
  const name = `${colorway.name} v${colorway.version}`.replaceAll(/[^\p{L}\p{N} _.-]/gu, '');
  await pdfMake.createPdf(definition(formulation, plan, colorway)).download(`${name}, run sheet.pdf`);
}

/** The sheet as it is set: A4, black on white, a box before every line. */
export function definition(formulation: Formulation, plan: Plan, colorway: Colorway): TDocumentDefinitions {
  const sheet = runSheet(formulation, plan);
  return {
    pageSize: 'A4',
    pageMargins: [36, 36, 36, 44],
    info: { title: `${sheet.name}, run sheet` },
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    footer: (page: number, pages: number): Content => ({
      text: `${sheet.name} · version ${colorway.version} · page ${page} of ${pages} · follow the dye maker’s safety sheet and your local rules`,
      fontSize: 8,
      margin: [36, 12, 36, 0],
    }),
    content: [
      { text: sheet.name, fontSize: 20, bold: true },
      {
        text: `${colorway.code === '' ? '' : `${colorway.code} · `}version ${colorway.version} · date __________  batch __________  pot __________`,
        margin: [0, 2, 0, 2],
      },
      { text: sheet.summary, margin: [0, 0, 0, 6] },
      ...part('Goods', sheet.goods),
      ...(sheet.stock.length > 0 ? part('Stock to have at hand', sheet.stock) : []),
      ...sheet.parts.flatMap(({ title, lines }) => part(title, lines)),
      heading('Checks'),
      ...sheet.checks.map((text): Content => ({
        columns: [{ width: 14, stack: [box()] }, { text }],
        columnGap: 4,
        margin: [0, 2, 0, 2],
      })),
      ...(sheet.notices.length > 0
        ? [heading('Worth a second look'), { ul: sheet.notices } satisfies Content]
        : []),
      heading('Cautions'),
      ...sheet.cautions.map((text): Content => ({ text, fontSize: 8.5, margin: [0, 0, 0, 3] })),
    ],
  };
}

const heading = (text: string): Content => ({ text, bold: true, fontSize: 12, margin: [0, 8, 0, 3] });

function part(title: string, lines: readonly SheetLine[]): Content[] {
  if (lines.length === 0) return [];
  return [
    heading(title),
    {
      table: {
        widths: [12, '*', 70, 120],
        body: lines.map((line): TableCell[] => [
          box(),
          { text: line.what },
          { text: line.amount, bold: true, fontSize: 12, alignment: 'right' },
          { text: line.with, fontSize: 9 },
        ]),
        dontBreakRows: true,
      },
      layout: 'lightHorizontalLines',
    },
  ];
}
