import type { Api } from "../api/client";

export type Term = Api["TradeTerm"];

/** A piece of a text: plain words, or a word of the trade as it stands there. */
export type Piece = { text: string; term?: Term };

const escaped = (form: string) => form.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

/** Words written in capitals stand only so; others in any case. */
const exact = (form: string) => form === form.toUpperCase();

const finders = new WeakMap<readonly Term[], { pattern: RegExp; byForm: Map<string, Term> }>();

function finder(terms: readonly Term[]) {
  let made = finders.get(terms);
  if (!made) {
    const byForm = new Map<string, Term>();
    for (const t of terms) for (const f of t.forms) byForm.set(f.toLowerCase(), t);
    // The longest first: a guide coat is no coat.
    const forms = [...byForm.keys()].sort((a, b) => b.length - a.length).map(escaped);
    made = { pattern: new RegExp(`(?<![\\p{L}\\d-])(?:${forms.join("|")})(?![\\p{L}\\d-])`, "giu"), byForm };
    finders.set(terms, made);
  }
  return made;
}

/** {@code text} in pieces: its words of the trade, and what stands between them. All pieces together are the text. */
export function pieces(text: string, terms: readonly Term[]): Piece[] {
  if (terms.length === 0) return [{ text }];
  const { pattern, byForm } = finder(terms);
  const out: Piece[] = [];
  let at = 0;
  for (const m of text.matchAll(pattern)) {
    const term = byForm.get(m[0].toLowerCase());
    if (!term || (term.forms.every(exact) && !exact(m[0]))) continue;
    if (m.index > at) out.push({ text: text.slice(at, m.index) });
    out.push({ text: m[0], term });
    at = m.index + m[0].length;
  }
  if (at < text.length || out.length === 0) out.push({ text: text.slice(at) });
  return out;
}

/** The words of the trade in {@code text}, each once, as they come. */
export function termsIn(text: string, terms: readonly Term[]): Term[] {
  return [...new Set(pieces(text, terms).flatMap((p) => (p.term ? [p.term] : [])))];
}
