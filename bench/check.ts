import type { CheckedCue } from "../core/check/checkedCue.ts";
import { Checker } from "../core/check/checker.ts";
import { type CueDoc, pageCue, readingCue, songCue } from "../core/rundown/cueDoc.ts";
import { limitsOf } from "../core/venue/checkLimits.ts";
import { lanternEvening } from "../demo/lanternEvening.ts";
import { cuesOfShow, eveningOfShow } from "../test-support/checkOfShow.ts";
import { openShow } from "../test-support/openShow.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { madeUpSongs } from "./madeUpSongs.ts";

const CUES = few(300, 12);
const EDITS = few(40, 3);

/** A large evening: a third songs, a third straps, the rest readings and pages. */
export function largeEvening(): CueDoc[] {
  const { songs } = madeUpSongs(CUES / 3, 18);
  return songs.flatMap(({ song }, at): CueDoc[] => [
    songCue({ ...song }),
    pageCue({ fieldSet: "name", values: { name: `Speaker ${at}`, role: "of the quay" }, stayMs: 8_000 }),
    at % 3 === 0
      ? readingCue({ reference: `Ps ${1 + (at % 100)}:1-6`, text: "web" })
      : pageCue({
          fieldSet: "title",
          values: { title: `Part ${at}`, subtitle: "In the Net Loft" },
          stayMs: 9_000,
        }),
  ]);
}

/** A song or a page that says something else; the notes of any other cue. */
function withAnotherWord(doc: CueDoc): CueDoc {
  switch (doc.kind) {
    case "song":
      return { ...doc, text: `${doc.text.trimEnd()} tonight\n` };
    case "page":
      return {
        ...doc,
        values: Object.fromEntries(Object.entries(doc.values).map(([id, text]) => [id, `${text} tonight`])),
      };
    default:
      return { ...doc, note: `${doc.note} tonight` };
  }
}

/** The check of 300 cues on five screens: from cold, and after an edit; how long it holds whoever asks. */
export async function benchCheck(): Promise<void> {
  const seed = { ...lanternEvening(), cues: largeEvening() };
  const { services, close } = await openShow(":memory:", { seed });
  const evening = await eveningOfShow(services, seed);
  const limits = limitsOf({});
  const checker = new Checker();
  const slices: number[] = [];
  const look = (of: typeof evening) => {
    const looking = checker.look(of, limits);
    const from = performance.now();
    for (;;) {
      const began = performance.now();
      const step = looking.next();
      slices.push(performance.now() - began);
      if (step.done) return { tookMs: performance.now() - from, ...step.value };
    }
  };
  const cold = look(evening);
  printValue(
    `check of ${CUES} cues on 5 screens, from cold: ${cold.looked} pages`,
    "s",
    cold.tookMs / 1_000,
    "2",
  );
  printRow(
    "… the longest that one step of it holds its worker",
    "ms",
    distributionOf(slices.splice(0)),
    "50",
  );
  const edits: number[] = [];
  let { cues } = evening;
  for (let at = 0; at < EDITS; at++) {
    const { cueId, doc, revision } = cues[(at * 7) % CUES] as CheckedCue;
    const edit = { kind: "changeCue", cueId, doc: withAnotherWord(doc), baseRevision: revision } as const;
    const told = await services.rundown.edit("bench", edit, at * 10_000);
    if (told.kind !== "saved") throw new Error(`The edit of cue ${cueId} was not saved: ${told.kind}`);
    cues = cuesOfShow(services, evening.fieldSets, cues);
    edits.push(look({ ...evening, cues }).tookMs);
  }
  printRow("… after an edit of one cue", "ms", distributionOf(edits), "100");
  await close();
}
