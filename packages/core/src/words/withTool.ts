/** A tool in words: `with the 10 mL syringe, 3 fills`. */
export const withTool = (name: string, fills: number): string =>
  `with the ${name}${fills > 1 ? `, ${fills} fills` : ''}`;
