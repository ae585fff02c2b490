import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { page, prepareBench, readyCues, strap } from "../../test-support/contents.ts";
import { FollowModel, type ModelTie } from "../../test-support/followModel.ts";
import { mulberry } from "../../test-support/random.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { triggerSchema } from "../triggers/trigger.ts";

const bench = prepareBench();
const CAMERAS = ["cam1", "cam2", "cam3", "cam4"] as const;
const TWO_HOURS_S = 2 * 60 * 60;
const CHANGES = 600;

const evening = () =>
  readyCues(bench, [
    { ...strap("Ilse", "", 8_000), comesWith: { sourceId: "cam1", delayMs: 0, stays: false } } as CueDoc,
    { ...strap("Noor"), comesWith: { sourceId: "cam2", delayMs: 2_000, stays: true } } as CueDoc,
    strap("Brisa", "", 6_000),
    page("crawl", { items: "Last ferry 22:40" }),
    page("title", { title: "Lantern Evening", subtitle: "" }),
  ]);

describe("what comes with cameras, against a model written apart", () => {
  for (const seed of [1_701, 1_702])
    test(`seed ${seed}: two hours with ${CHANGES} changes of camera, hands, held layers and stops`, () => {
      const cues = evening();
      const [ilse, noor, brisa, crawl, title] = cues as [ReadyCue, ReadyCue, ReadyCue, ReadyCue, ReadyCue];
      const clocked = new Clocked(cues);
      clocked.isChecked = false;
      clocked.mostActsPerSecond = 100;
      clocked.triggers = [
        triggerSchema.parse({
          id: "crawl-on-quay",
          when: { kind: "source", sourceId: "cam4" },
          act: { kind: "take", cueId: crawl.cueId },
          delayMs: 1_500,
          stay: { kind: "for", ms: 10_000 },
        }),
        triggerSchema.parse({
          id: "title-of-room",
          when: { kind: "source", sourceId: "cam3" },
          act: { kind: "take", cueId: title.cueId },
          stay: { kind: "open" },
          leavesWith: true,
        }),
      ];
      const tie = (id: string, sourceId: string, cue: ReadyCue, more: Partial<ModelTie>): ModelTie => ({
        id,
        sourceId,
        cue: cue.cueId,
        layer: cue.content.layerId,
        delayMs: 0,
        stayMs: null,
        leavesWith: true,
        ...more,
      });
      const model = new FollowModel(
        [
          tie("crawl", "cam4", crawl, { delayMs: 1_500, stayMs: 10_000, leavesWith: false }),
          tie("title", "cam3", title, {}),
          tie("ilse", "cam1", ilse, { stayMs: 8_000 }),
          tie("noor", "cam2", noor, { delayMs: 2_000 }),
        ],
        { [ilse.cueId]: 8_000, [brisa.cueId]: 6_000 },
      );
      const random = mulberry(seed);
      const pick = (count: number) => Math.floor(random() * count);
      const layers = [...new Set(cues.map(({ content }) => content.layerId))];
      // Times that no two things share, so that neither side has to say which of them is first.
      const changes = Array.from({ length: CHANGES }, () => pick(TWO_HOURS_S * 10) * 100 + 10).sort(
        (a, b) => a - b,
      );
      const hands = Array.from({ length: 400 }, () => pick(TWO_HOURS_S * 10) * 100 + 50).sort(
        (a, b) => a - b,
      );
      let seconds = 0;
      const begunMs = clocked.atMs;
      const passTo = (ms: number) => {
        while (seconds * 1_000 + 70 <= ms) {
          clocked.wait(begunMs + seconds * 1_000 + 70 - clocked.atMs, 10);
          model.pass(clocked.atMs);
          const is = layers.map((layer) => clocked.on(layer));
          const expected = layers.map((layer) => model.on(layer, clocked.atMs));
          if (is.join() !== expected.join())
            throw new Error(`After ${seconds} s: ${is} in place of ${expected}`);
          seconds++;
        }
        clocked.wait(begunMs + ms - clocked.atMs, 10);
        model.pass(clocked.atMs);
      };
      let cameFromTies = 0;
      for (const ms of [...changes, ...hands].sort((a, b) => a - b)) {
        passTo(ms);
        if (ms % 100 === 10) {
          const from = model.program;
          const to = CAMERAS[pick(CAMERAS.length)] as string;
          // A cut, or a mix whose two cameras are both on for a while.
          const program = random() < 0.2 && from.length === 1 && from[0] !== to ? [...from, to] : [to];
          clocked.mixer(program);
          model.mixer(program, clocked.atMs);
          continue;
        }
        const kind = pick(10);
        const at = pick(cues.length);
        const cue = cues[at] as ReadyCue;
        const layerId = cue.content.layerId;
        if (kind <= 3) {
          expect(clocked.take(at)).toBeNull();
          model.take(cue.cueId, layerId, clocked.atMs);
        } else if (kind <= 7) {
          clocked.press({ kind: "out", id: `out-number-${ms}`, layerId, how: "animated" });
          model.out(layerId, clocked.atMs);
        } else if (kind === 8) {
          const isHeld = random() < 0.3;
          clocked.press({ kind: "keepLayer", id: `keep-number-${ms}`, layerId, isHeld });
          model.hold(layerId, isHeld);
        } else {
          const areStopped = random() < 0.3;
          clocked.press({ kind: "stopTriggers", id: `stop-number-${ms}`, areStopped });
          model.stop(areStopped);
        }
      }
      passTo(TWO_HOURS_S * 1_000);
      for (const { actor, event } of clocked.logged)
        if (actor?.kind === "trigger" && event.kind === "taken") cameFromTies++;
      expect(seconds).toBeGreaterThan(TWO_HOURS_S - 2);
      // Much of it did come by itself: a model of nothing would agree with nothing.
      expect(cameFromTies).toBeGreaterThan(80);
    }, 120_000);
});
