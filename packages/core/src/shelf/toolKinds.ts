/** What a dyer measures with. */
export const TOOL_KINDS = ['syringe', 'pipette', 'cylinder', 'jug', 'spoon', 'scale'] as const;
export type ToolKind = (typeof TOOL_KINDS)[number];

/** What a tool measures in. */
export const toolUnit = (kind: ToolKind): 'mL' | 'g' => (kind === 'scale' ? 'g' : 'mL');
