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
  const phrases = new Phrases(kind, pass, named);
  const order = phrases.order();
  if (phrases.nothing()) return [...order, { text: `: ${NOTHING}.` }];
  const said = phrases.clauses();
  if (!isAll(pass.gate)) said.push([{ text: gateWords(pass.gate), name: "gate" }]);
  if (pass.strength !== 1)
    said.push([{ text: "at " }, { text: amountWords(pass.strength, "%"), name: "strength" }]);
  const more = said.flatMap((clause, i) => [{ text: i === 0 && phrases.bare ? ": " : ", " }, ...clause]);
  return [...order, ...more, { text: "." }];
}

/** The same as text. */
export function sentenceText(kind: Kind, pass: Pass, named: (name: string) => string): string {
  return sentence(kind, pass, named)
    .map((p) => p.text)
    .join("");
}

/** The words of a pass's kind, filled with its values. */
class Phrases {
  /** Whether the order stands between a colon and what it orders. */
  readonly bare: boolean;

  constructor(
    private readonly kind: Kind,
    private readonly pass: Pass,
    private readonly named: (name: string) => string,
  ) {
    this.bare = kind.sentence.endsWith(":");
  }

  /** The order without its colon. */
  order(): Piece[] {
    const { sentence: order } = this.kind;
    return this.filled(this.bare ? order.slice(0, -1) : order);
  }

  /** What follows the order. */
  clauses(): Piece[][] {
    return this.kind.says.filter((clause) => !this.neutral(clause)).map((clause) => this.filled(clause));
  }

  /** Whether nothing is changed by it as its numbers stand. */
  nothing(): boolean {
    if (this.bare) return this.kind.says.every((clause) => this.neutral(clause));
    return this.numbers(this.kind.sentence).some((c) => c.neutral !== c.defaultValue && this.off(c) === 0);
  }

  private neutral(clause: string): boolean {
    return this.numbers(clause).every((c) => this.off(c) === 0);
  }

  /** The numbers that a template says. */
  private numbers(template: string): Control[] {
    const names = [...template.matchAll(TOKEN)].map((t) => t[1]);
    return this.kind.controls.filter((c) => names.includes(c.name));
  }

  private value(control: Control): number {
    return (this.pass.move as unknown as Record<string, number>)[control.name] ?? control.defaultValue;
  }

  private off(control: Control): number {
    return this.value(control) - control.neutral;
  }

  private filled(template: string): Piece[] {
    const out: Piece[] = [];
    let from = 0;
    for (const token of template.matchAll(TOKEN)) {
      out.push({ text: template.slice(from, token.index) }, this.word(template, token));
      from = token.index + token[0].length;
    }
    out.push({ text: template.slice(from) });
    return out.filter((p) => p.text);
  }

  private word(template: string, [, name = "", sort, plus = "", minus = ""]: RegExpMatchArray): Piece {
    const control = this.kind.controls.find((c) => c.name === name);
    if (!control) return { text: this.named(name), name };
    const off = this.off(control);
    const side = off < 0 ? minus : plus;
    if (sort === "?") return { text: side };
    if (sort === ":") return { text: `${amountWords(Math.abs(off), control.unit)} ${side}`, name };
    const turned = template.includes(`{${name}?`);
    return { text: amountWords(turned ? Math.abs(off) : this.value(control), control.unit), name };
  }
}
