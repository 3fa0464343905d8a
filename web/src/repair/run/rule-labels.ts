/** Width of a letter of the rule's words, px: a little more than its mean. */
const LETTER = 8.4;

/** Where the words of a mark stand. */
export interface RuleLabel {
  /** Left edge, px. */
  x: number;
  /** From the top, 0 the first; the mark's line goes down to it. */
  row: number;
}

/**
 * Words right of their marks, the leftmost mark's lowest: the line that comes down to them passes no others. At the right edge they stand back.
 *
 * @param marks from left to right, px, with what they say
 */
export function ruleLabels(marks: readonly { at: number; words: string }[], width: number): RuleLabel[] {
  return marks.map((m, i) => ({
    x: Math.max(8, Math.min(m.at + 8, width - 8 - m.words.length * LETTER)),
    row: marks.length - 1 - i,
  }));
}
