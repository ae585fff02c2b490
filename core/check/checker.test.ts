import { expect, test } from "vitest";
import { eveningOf, lookThrough, type MoreOfEvening, prepareChecks } from "../../test-support/checked.ts";
import { page, song, strap } from "../../test-support/contents.ts";
import { mulberry } from "../../test-support/random.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { CheckedCue } from "./checkedCue.ts";
import { Checker } from "./checker.ts";
import type { EveningToCheck } from "./evening.ts";

const { bench } = prepareChecks();

/** Cues that nobody has edited are the same objects, as a desk has them; each edit has another revision. */
function keeping() {
  const known = new Map<string, CheckedCue>();
  let last = 0;
  return (evening: EveningToCheck): EveningToCheck => ({
    ...evening,
    cues: evening.cues.map((cue) => {
      const key = JSON.stringify([cue.cueId, cue.index, cue.doc]);
      const same = known.get(key) ?? { ...cue, revision: ++last };
      known.set(key, same);
      return same;
    }),
  });
}

const bound = {
  ...page("name", { name: "To be announced", role: "" }),
  bindings: {
    name: {
      kind: "cell",
      feedId: "f",
      formats: {},
      empty: "",
      row: { by: "number", number: 1 },
      text: "{name}",
    },
  },
} as CueDoc;
const feedWith = (name: string): MoreOfEvening => ({
  feeds: [
    {
      id: "f",
      doc: { name: "Names", staleAfterMs: null } as never,
      fault: null,
      isStale: false,
      longest: { name },
    },
  ],
});
const LONG = "Wilhelmina van der Something-Otherwise, keeper of the long breakwater. ".repeat(3);

test("a feed whose values grow longer is looked at again", () => {
  const checker = new Checker();
  const keep = keeping();
  const codes = (name: string) =>
    lookThrough(keep(eveningOf(bench, [bound], feedWith(name))), {}, checker).findings.map(
      ({ code }) => code,
    );
  expect(codes("Ilse")).not.toContain("longestValue");
  expect(codes(LONG)).toContain("longestValue");
  expect(codes("Ilse")).not.toContain("longestValue");
});

test("a mend is of the cue as it is: nothing that was typed since is taken back", () => {
  const checker = new Checker();
  const first = strap("One two three four five", "six seven eight nine");
  const follower = (name: string): CueDoc => ({ ...strap(name), start: { kind: "after", ms: 500 } });
  const keep = keeping();
  const found = (name: string) => {
    const evening = keep(eveningOf(bench, [first, follower(name)]));
    const { findings } = lookThrough(evening, {}, checker);
    return {
      mend: findings.find(({ code }) => code === "fastStep")?.mends[0],
      revision: evening.cues[1]?.revision,
    };
  };
  for (const name of ["Brisa Quell", "Noor Halvard"]) {
    const { mend, revision } = found(name);
    expect(mend).toMatchObject({ doc: { values: { name } }, revision });
  }
});

test("eighty seeded edits, seed 1804: what was looked at before makes no difference", () => {
  const random = mulberry(1804);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
  const checker = new Checker();
  const keep = keeping();
  const names = ["Ilse Tarrow", "Ilse Tarow", "Brisa Quell", LONG, "Soup , and bread", "the the lamp"];
  let docs: CueDoc[] = [
    song("[V1]\nNine bells\nand no wind\n\n[C]\nCarry it low\n"),
    strap("Ilse Tarrow", "net mender", 8_000),
    page("title", { title: "Lantern Evening", subtitle: "The Net Loft" }),
    bound,
    page("points", { points: "One\nTwo", heading: "Walk" }),
  ];
  let more: MoreOfEvening = feedWith("Ilse");
  let set = {};
  for (let run = 0; run < 80; run++) {
    const at = Math.floor(random() * docs.length);
    const doc = docs[at] as CueDoc;
    switch (Math.floor(random() * 8)) {
      case 0:
        docs = docs.with(at, strap(pick(names), pick(names), pick([null, 500, 9_000])));
        break;
      case 1:
        docs = docs.with(at, {
          ...doc,
          start: pick([{ kind: "hand" }, { kind: "with" }, { kind: "after", ms: 400 }]),
        } as CueDoc);
        break;
      case 2:
        docs = [...docs.filter((each) => each !== doc), doc];
        break;
      case 3:
        more = feedWith(pick(["Ilse", LONG]));
        break;
      case 4:
        set = pick([{}, { mostAtOnce: 1 }, { wordsPerMinute: 60 }, { narrowest: 100 }]);
        break;
      case 5:
        docs = docs.with(at, {
          ...doc,
          waived: pick([[], [{ code: "spelling", place: "Ilse Tarow", reason: "So." }]]),
        });
        break;
      case 7:
        docs = docs.with(at, {
          ...doc,
          whole: pick([null, { xPercent: -20, yPercent: 0, scale: 1 }]),
        } as CueDoc);
        break;
      case 6:
        docs = docs.with(at, { ...doc, only: pick([null, ["stream"], ["wall", "porch"]]) });
        break;
    }
    const evening = eveningOf(bench, docs, more);
    const kept = lookThrough(keep(evening), set, checker);
    const fresh = lookThrough(keep(evening), set);
    expect([run, kept.findings]).toEqual([run, fresh.findings]);
  }
});
