import type { ColorRef, HouseStyle, NumberRef, Typeface } from "./houseStyle.ts";
import { colorSchema } from "./houseStyle.ts";
import type { MediaCatalog, MediaInfo } from "./media.ts";
import type { MediaSource, WordSource } from "./template.ts";

/** Field name → words. */
export type FieldValues = Readonly<Record<string, string>>;

/** A token that a style lacks must not blank a page. */
const PAPER = "#ffffff";

/**
 * Looks up what an object refers to, and remembers what was asked for and found: a layout stays good as long as the
 * same questions get the same answers.
 */
export class Lookup {
  readonly #style: HouseStyle;
  readonly #values: FieldValues;
  readonly #media: MediaCatalog;
  /** Question → answer, both as text. */
  readonly asked = new Map<string, string>();

  constructor(style: HouseStyle, values: FieldValues, media: MediaCatalog) {
    this.#style = style;
    this.#values = values;
    this.#media = media;
  }

  /** Whether another layout's questions would get the same answers here. */
  agrees(asked: ReadonlyMap<string, string>): boolean {
    for (const [question, answer] of asked) if (this.#answer(question) !== answer) return false;
    return true;
  }

  #ask(question: string): string {
    const answer = this.#answer(question);
    this.asked.set(question, answer);
    return answer;
  }

  #answer(question: string): string {
    const kind = question[0];
    const name = question.slice(2);
    switch (kind) {
      case "c":
        return this.#style.colors[name] ?? PAPER;
      case "n":
        return String(this.#style.numbers[name] ?? "");
      case "t":
        return JSON.stringify(this.#style.fonts[name] ?? null);
      case "v":
        return this.#values[name] ?? "";
      case "m":
        return JSON.stringify(this.#media(name) ?? null);
      default:
        throw new Error(`Nobody can answer "${question}"`);
    }
  }

  value(field: string): string {
    return this.#ask(`v:${field}`);
  }

  words(source: WordSource): string {
    return source.kind === "fixed" ? source.text : this.value(source.field);
  }

  /** CSS hex with straight alpha. */
  color(ref: ColorRef): string {
    if (typeof ref === "string") return ref;
    if ("field" in ref) {
      const typed = this.value(ref.field).trim();
      return colorSchema.safeParse(typed).success ? typed : this.#ask(`c:${ref.or.token}`);
    }
    return withAlpha(this.#ask(`c:${ref.token}`), ref.alpha);
  }

  /** @param otherwise when the style lacks the token */
  number(ref: NumberRef, otherwise = 0): number {
    if (typeof ref === "number") return ref;
    const found = this.#ask(`n:${ref.token}`);
    return (found === "" ? otherwise : Number(found)) * (ref.times ?? 1);
  }

  /** How strong the style's shadows are: 1 as drawn. */
  shadowStrength(): number {
    return this.number({ token: "shadow" }, 1);
  }

  typeface(role: string): Typeface | null {
    return JSON.parse(this.#ask(`t:${role}`)) as Typeface | null;
  }

  /** The picture or clip a source names; undefined when there is none, with the name that was asked for. */
  media(source: MediaSource): { readonly hash: string; readonly info: MediaInfo | undefined } {
    const hash = source.kind === "media" ? source.hash : this.value(source.field).trim();
    const info = hash === "" ? null : (JSON.parse(this.#ask(`m:${hash}`)) as MediaInfo | null);
    return { hash, info: info ?? undefined };
  }
}

/** A colour with its alpha multiplied. */
export function withAlpha(color: string, alpha: number | undefined): string {
  if (alpha === undefined) return color;
  const own = color.length > 7 ? Number.parseInt(color.slice(7, 9), 16) / 255 : 1;
  const hex = Math.round(Math.max(0, Math.min(1, own * alpha)) * 255)
    .toString(16)
    .padStart(2, "0");
  return color.slice(0, 7) + hex;
}
