import { HEATS, type Heat, TECHNIQUES, type Technique, TOOLS, type Tool } from '@sabor/core/step/choices';

/** How the hair was worked before it dried: "rake, scrunch". */
export const workedInWords = (techniques: readonly Technique[]): string =>
  techniques.map((key) => TECHNIQUES[key].label).join(', ') || 'no technique noted';

/** How it was dried: "diffuser, low heat"; "air" where by nothing. */
export const driedInWords = ({ tool, heat }: { tool: Tool | null; heat: Heat | null }): string =>
  [tool && TOOLS[tool].label, heat && HEATS[heat].label].filter(Boolean).join(', ') || 'air';
