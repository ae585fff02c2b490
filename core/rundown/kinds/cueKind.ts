import type { FieldSet } from "../../scene/fieldSet.ts";
import type { CompileContext, Compiled } from "../compileContext.ts";

export type FieldSets = ReadonlyMap<string, FieldSet>;

/** Changes a text of a cue. @param where what its form calls it */
export type VisitText = (text: string, where: string) => string;

/** Besides the words themselves: what else contents are made of, so that they are made anew when it changes. */
export type Ingredient = "media" | "scripture" | "sectionNames" | "licence";

/** A kind of cue: what the whole program has to know of it. Its document and its schema are in `doc.ts` beside it. */
export interface CueKind<D> {
  /** What it is, in a word or two, as lists have it. */
  readonly nameOf: (doc: D, fieldSets: FieldSets) => string;
  /** Several of them. */
  readonly plural: string;
  /** What it is called before it can be taken; undefined when nothing was typed that names it. */
  readonly typedTitle: (doc: D) => string | undefined;
  /** What it is called while it is empty. */
  readonly emptyTitle: (doc: D, fieldSets: FieldSets) => string;
  /** A press takes it; what is not taken is only read. */
  readonly isTaken: boolean;
  /** It brings a page onto a layer. */
  readonly bringsPage: boolean;
  /** The fields that templates for it show; null where it brings no page of its own. */
  readonly fieldSetOf: (doc: D) => string | null;
  /** It may come again by itself. */
  readonly canRepeat: boolean;
  /** It has words that belong to one day. */
  readonly hasWordsOfTheDay: boolean;
  readonly madeOf: readonly Ingredient[];
  readonly compile: (doc: D, context: CompileContext) => Compiled;
  /** Without what belongs to one day; what any cue loses is gone already. */
  readonly emptied: (doc: D, fieldSets: FieldSets) => D;
  /** Every text that is ours to change, in reading order. */
  readonly visitTexts: (doc: D, fieldSets: FieldSets, visit: VisitText) => D;
  /** What was typed besides its title and what its steps say: it can be found by that. */
  readonly asides: (doc: D) => readonly string[];
}
