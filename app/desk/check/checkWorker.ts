import type { CheckedCue } from "../../../core/check/checkedCue.ts";
import { Checker } from "../../../core/check/checker.ts";
import { readCheckedCues } from "../../../core/check/readEvening.ts";
import { createDresser, type LearningDress } from "../../../core/compose/dress.ts";
import { LANGUAGE_OF_WINDOW } from "../../../core/language/language.ts";
import type { CueView } from "../../../core/rundown/edits.ts";
import type { PinnedDocument } from "../../../core/rundown/pinnedDocument.ts";
import type { FieldSets } from "../../../core/scene/fieldSet.ts";
import { checkMeasures } from "../../../painters/checkMeasures.ts";
import { makeOffscreen } from "../../live/offscreen.ts";
import {
  createLateFonts,
  fallbackFonts,
  fontsChanged,
  loadShaper,
  onFonts,
  wordsIn,
} from "../../live/shaper.ts";
import type { CheckAnswer, CheckPace, CheckRequest, EveningFrame } from "./checkMessages.ts";

/** Looks through the evening beside the window: with fonts, documents and a painter of its own, in slices, and gives up what is out of date. */
const SLICE_MS = 30;
/** How long it rests after a slice, in slices. */
const REST = { hurried: 0, beside: 1, aside: 12 } as const satisfies Record<CheckPace, number>;
let pace: CheckPace = "beside";
/** Ends a rest early. */
let goOn = () => {};

const documents = new Map<string, PinnedDocument>();
const views = new Map<string, CueView>();
let order: readonly string[] = [];
let frame: EveningFrame | undefined;
let fieldSets: FieldSets = new Map();
let cues: readonly CheckedCue[] = [];
let version = 0;
/** Grows whenever something is otherwise: what was begun before is given up. */
let turn = 0;
const checker = new Checker();
let dresser: { readonly dress: LearningDress; readonly timeZone: string } | undefined;
let lateFonts: ((words: string) => boolean) | undefined;

const say = (answer: CheckAnswer) => postMessage(answer);

/** Pictures of the library, decoded once. */
const images = new Map<string, ImageBitmap | "loading" | "missing">();
function findImage(file: string): ImageBitmap | "loading" | "missing" {
  const known = images.get(file);
  if (known) return known;
  images.set(file, "loading");
  void fetch(`/media/${file}`)
    .then(async (answer) => (answer.ok ? await createImageBitmap(await answer.blob()) : ("missing" as const)))
    .catch(() => "missing" as const)
    .then((image) => {
      images.set(file, image);
      lookAgain();
    });
  return "loading";
}

/** Frames of clips; the window plays them, since a worker cannot. */
const films = new Map<string, readonly ImageBitmap[] | "waits">();
function framesOf(hash: string): readonly ImageBitmap[] | "waits" | undefined {
  const document = documents.get(hash);
  if (document?.kind !== "media" || document.type !== "video") return undefined;
  const known = films.get(document.file);
  if (known) return known;
  films.set(document.file, "waits");
  say({ kind: "wantsFrames", file: document.file });
  return "waits";
}

/** Everything is laid out anew: a font has come. */
function forget(): void {
  dresser = undefined;
  measures = undefined;
  checker.forget();
  lookAgain();
}
onFonts(forget);

let measures: ReturnType<typeof checkMeasures> | undefined;

async function look(own: number): Promise<void> {
  const given = frame;
  if (!given) return;
  const { shaper } = await loadShaper();
  lateFonts ??= createLateFonts(shaper, forget);
  if (own !== turn) return;
  const beganAtMs = performance.now();
  if (!dresser || dresser.timeZone !== given.timeZone) {
    const dress = createDresser(documents, shaper, fallbackFonts(), given.timeZone);
    dresser = { dress, timeZone: given.timeZone };
    const kit = { outlines: shaper, MakePath: Path2D, findImage, makeCanvas: makeOffscreen };
    measures = checkMeasures({ dress, kit, framesOf });
  }
  const { dress } = dresser;
  if (!measures) throw new Error("Nothing measures what is painted");
  cues = readCheckedCues(
    order.flatMap((id) => views.get(id) ?? []),
    (hash) => {
      const document = documents.get(hash);
      return document?.kind === "page" ? document : undefined;
    },
    fieldSets,
    cues,
  );
  let areFontsHere = true;
  for (const { made } of cues) if (made && !lateFonts(wordsIn(made.content))) areFontsHere = false;
  const isMaking = cues.some(({ cueId, made }) => {
    const { compiled } = views.get(cueId) as CueView;
    return made === null && ("hash" in compiled || "pending" in compiled);
  });
  const { timeZone: _, limits, fieldSets: __, ...rest } = given;
  const looking = checker.look({ ...rest, cues, fieldSets, documents, dress, measures }, limits);
  let sliceMs = performance.now();
  for (;;) {
    const step = looking.next();
    if (step.done) {
      const { findings, looked, isWaiting } = step.value;
      say({
        ...{ kind: "found", version, findings, looked },
        isWaiting: isWaiting || isMaking || !areFontsHere,
        tookMs: performance.now() - beganAtMs,
      });
      return;
    }
    if (performance.now() - sliceMs < SLICE_MS) continue;
    // Whoever has something newer to say is heard between two slices.
    await new Promise<void>((resolve) => {
      goOn = resolve;
      setTimeout(resolve, REST[pace] * SLICE_MS);
    });
    if (own !== turn) return;
    sliceMs = performance.now();
  }
}

function lookAgain(): void {
  const own = ++turn;
  // What comes at once is looked at together.
  setTimeout(() => {
    if (own === turn)
      look(own).catch((error: unknown) =>
        say({
          kind: "problem",
          sentence: error instanceof Error ? `${error.message}\n${error.stack}` : String(error),
        }),
      );
  });
}

self.onmessage = ({ data }: MessageEvent<CheckRequest>) => {
  switch (data.kind) {
    case "language":
      Object.assign(globalThis, { [LANGUAGE_OF_WINDOW]: data.language });
      return;
    case "documents":
      for (const [hash, document] of data.documents) documents.set(hash, document);
      return;
    case "keep": {
      const kept = new Set(data.hashes);
      for (const hash of documents.keys()) if (!kept.has(hash)) documents.delete(hash);
      return;
    }
    case "pace":
      pace = data.pace;
      goOn();
      return;
    case "fonts":
      void fontsChanged();
      return;
    case "frames":
      films.set(data.file, data.frames);
      lookAgain();
      return;
    case "look":
      version = data.version;
      for (const view of data.changed) views.set(view.cueId, view);
      order = data.order;
      if (data.frame) {
        frame = data.frame;
        fieldSets = new Map(data.frame.fieldSets.map((set) => [set.id, set]));
      }
      lookAgain();
  }
};
