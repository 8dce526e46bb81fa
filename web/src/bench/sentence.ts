import type { Control, Kind, Pass } from "../api/types";
import { amountWords } from "../kit/numbers";
import { gateWords, isAll } from "./words";

/** A piece of a sentence: plain text, or the text of a control with its name. */
export interface Piece {
  text: string;
  name?: string;
}

/** A number, or a word by its side of neutral, or anything else that has a name. */
const TOKEN = /\{(\w+)(?:([:?])([^|}]*)\|([^}]*))?\}/g;

const NOTHING = "changes nothing yet";

/**
 * A pass as a sentence, whose words are its controls. The core says the same by the same rules (Phrases.java).
 *
 * @param named the words of what is no number, by its name
 */
export function sentence(kind: Kind, pass: Pass, named: (name: string) => string): Piece[] {
  const bare = kind.sentence.endsWith(":");
  const order = pieces(bare ? kind.sentence.slice(0, -1) : kind.sentence, kind, pass, named);
  if (nothing(kind, pass)) return [...order, { text: `: ${NOTHING}.` }];
  const said = kind.says
    .filter((clause) => !neutral(clause, kind, pass))
    .map((clause) => pieces(clause, kind, pass, named));
  if (!isAll(pass.gate)) said.push([{ text: gateWords(pass.gate), name: "gate" }]);
  if (pass.strength !== 1)
    said.push([{ text: "at " }, { text: amountWords(pass.strength, "%"), name: "strength" }]);
  const more = said.flatMap((clause, i) => [{ text: i > 0 ? ", " : bare ? ": " : ", " }, ...clause]);
  return [...order, ...more, { text: "." }];
}

/** The same as text. */
export function sentenceText(kind: Kind, pass: Pass, named: (name: string) => string): string {
  return sentence(kind, pass, named)
    .map((p) => p.text)
    .join("");
}

function pieces(template: string, kind: Kind, pass: Pass, named: (name: string) => string): Piece[] {
  const out: Piece[] = [];
  let from = 0;
  for (const token of template.matchAll(TOKEN)) {
    out.push({ text: template.slice(from, token.index) });
    out.push(word(template, token, kind, pass, named));
    from = token.index + token[0].length;
  }
  out.push({ text: template.slice(from) });
  return out.filter((p) => p.text);
}

function word(
  template: string,
  [, name = "", sort, plus = "", minus = ""]: RegExpMatchArray,
  kind: Kind,
  pass: Pass,
  named: (name: string) => string,
): Piece {
  const control = kind.controls.find((c) => c.name === name);
  if (!control) return { text: named(name), name };
  const away = off(control, pass);
  const side = away < 0 ? minus : plus;
  if (sort === "?") return { text: side };
  if (sort === ":") return { text: `${amountWords(Math.abs(away), control.unit)} ${side}`, name };
  const turned = template.includes(`{${name}?`);
  return { text: amountWords(turned ? Math.abs(away) : valueOf(control, pass), control.unit), name };
}

function valueOf(control: Control, pass: Pass): number {
  return (pass.move as unknown as Record<string, number>)[control.name] ?? control.defaultValue;
}

function off(control: Control, pass: Pass): number {
  return valueOf(control, pass) - control.neutral;
}

function numbersIn(template: string, kind: Kind): Control[] {
  const names = [...template.matchAll(TOKEN)].map((t) => t[1]);
  return kind.controls.filter((c) => names.includes(c.name));
}

function neutral(clause: string, kind: Kind, pass: Pass): boolean {
  return numbersIn(clause, kind).every((c) => off(c, pass) === 0);
}

/** Whether nothing is changed by it as its numbers stand. */
function nothing(kind: Kind, pass: Pass): boolean {
  if (kind.sentence.endsWith(":")) return kind.says.every((clause) => neutral(clause, kind, pass));
  return numbersIn(kind.sentence, kind).some((c) => c.neutral !== c.defaultValue && off(c, pass) === 0);
}
