import type { ColorRef, HouseStyle, Shadow, Typeface } from "./houseStyle.ts";
import { colorSchema } from "./houseStyle.ts";
import type { MediaCatalog, MediaInfo } from "./media.ts";
import type { MediaSource, WordSource } from "./properties.ts";
import { writeWords } from "./writtenWords.ts";

/** Field name → words. */
export type FieldValues = Readonly<Record<string, string>>;

/** A token that a style lacks must not blank a page. */
const PAPER = "#ffffff";

export type Missing = "colour" | "typeface";

/**
 * Looks up what an object refers to, and remembers what was asked for and found: a layout stays good as long as the
 * same questions get the same answers.
 */
export class Lookup {
  readonly #style: HouseStyle;
  readonly #values: FieldValues;
  readonly #media: MediaCatalog;
  readonly #onMissing: (what: Missing, name: string) => void;
  /** Question → answer, both as text. */
  readonly asked = new Map<string, string>();

  /** @param onMissing told of what is asked for and not there */
  constructor(
    style: HouseStyle,
    values: FieldValues,
    media: MediaCatalog,
    onMissing: (what: Missing, name: string) => void = () => {},
  ) {
    this.#style = style;
    this.#values = values;
    this.#media = media;
    this.#onMissing = onMissing;
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
        return this.#style.colors[name] ?? "";
      case "s":
        return JSON.stringify(this.#style.shadows?.[name] ?? null);
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
    switch (source.kind) {
      case "fixed":
        return source.text;
      case "written":
        return writeWords(source.text, (field) => this.value(field));
      case "field":
        return this.value(source.lines === "all" ? source.field : stepField(source.field, source.lines));
    }
  }

  /** CSS hex with straight alpha. */
  color(ref: ColorRef): string {
    if (typeof ref === "string") return ref;
    if ("field" in ref) {
      const typed = this.value(ref.field).trim();
      return colorSchema.safeParse(typed).success ? typed : this.#token(ref.or.token);
    }
    return withAlpha(this.#token(ref.token), ref.alpha);
  }

  #token(name: string): string {
    const found = this.#ask(`c:${name}`);
    if (found === "") this.#onMissing("colour", name);
    return found || PAPER;
  }

  /** A measure of the style; undefined when it has none of that name. */
  measure(name: string): number | undefined {
    const found = this.#ask(`n:${name}`);
    return found === "" ? undefined : Number(found);
  }

  /** Shadows of the style; undefined when it has none of that name. */
  shadows(name: string): readonly Shadow[] | undefined {
    return (JSON.parse(this.#ask(`s:${name}`)) as Shadow[] | null) ?? undefined;
  }

  /** How strong the style's shadows are: 1 as drawn. */
  shadowStrength(): number {
    return this.measure("shadow") ?? 1;
  }

  typeface(role: string): Typeface | null {
    const found = JSON.parse(this.#ask(`t:${role}`)) as Typeface | null;
    if (!found) this.#onMissing("typeface", role);
    return found;
  }

  /** The picture, clip or sound a source names; undefined when there is none, with the name that was asked for. */
  media(source: MediaSource): { readonly hash: string; readonly info: MediaInfo | undefined } {
    const hash = this.#mediaName(source);
    const info = hash === "" ? null : (JSON.parse(this.#ask(`m:${hash}`)) as MediaInfo | null);
    return { hash, info: info ?? undefined };
  }

  #mediaName(source: MediaSource): string {
    switch (source.kind) {
      case "media":
        return source.hash;
      case "library":
        return source.name;
      case "field":
        return this.value(source.field).trim();
    }
  }
}

/** Under which name a page has the lines of a field that its step shows. */
export const stepField = (field: string, lines: "soFar" | "ofStep"): string => `${field}/${lines}`;

/** A colour with its alpha multiplied. */
export function withAlpha(color: string, alpha: number | undefined): string {
  if (alpha === undefined) return color;
  const own = color.length > 7 ? Number.parseInt(color.slice(7, 9), 16) / 255 : 1;
  const hex = Math.round(Math.max(0, Math.min(1, own * alpha)) * 255)
    .toString(16)
    .padStart(2, "0");
  return color.slice(0, 7) + hex;
}
