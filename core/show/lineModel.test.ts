import { describe, expect, test } from "vitest";
import { Clocked } from "../../test-support/clocked.ts";
import { DESK, page, prepareBench, readyCues, song, strap } from "../../test-support/contents.ts";
import { LineModel, type Place } from "../../test-support/lineModel.ts";
import { mulberry } from "../../test-support/random.ts";
import type { CueDoc } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { stepsOf } from "../rundown/steps.ts";
import type { Actor } from "./actor.ts";
import { isSameStep } from "./line.ts";
import { findNext } from "./next.ts";

const bench = prepareBench();
const BALCONY: Actor = { kind: "desk", id: "another-desk" };
const STEPS = 200_000;
/** Presses between two starts over. */
const ROUND = 400;

const evening = () =>
  readyCues(bench, [
    strap("Ilse"),
    song("[Verse 1]\nNine bells\n\n[Chorus]\nCarry it low\n\n[Bridge]\nDown to the water"),
    strap("Noor", "", 4_000),
    page("backdrop", { name: "Night" }),
    song("One line\n\nand another"),
    { ...strap("Brisa"), repeatMs: 3_000 } as CueDoc,
    strap("Odhran"),
    song("Short"),
  ]);

/** Both sides of a step, as words. */
const told = (place: Place | null) => (place ? `${place.cue}/${place.step}` : "none");

describe("the line against a model written apart", () => {
  test(`seed 11: ${STEPS} presses of two desks, times of day and repeats`, () => {
    const cues = evening();
    const random = mulberry(11);
    const pick = (count: number) => Math.floor(random() * count);
    const placeOf = (
      target: { cueId: string; step: { occurrence: string; unit: number } } | null | undefined,
    ) => {
      if (!target) return null;
      const cue = cues.findIndex(({ cueId }) => cueId === target.cueId);
      const steps = stepsOf((cues[cue] as ReadyCue).content);
      return {
        cue,
        step: steps.findIndex(({ anchor }) =>
          isSameStep({ cueId: "", step: anchor }, { cueId: "", step: target.step }),
        ),
      };
    };
    let clocked = new Clocked(cues);
    let model = new LineModel([]);
    for (let i = 0; i < STEPS; i++) {
      if (i % ROUND === 0) {
        clocked = new Clocked(cues);
        clocked.isChecked = false;
        model = new LineModel(
          cues.map(({ content }) => ({ layer: content.layerId, steps: stepsOf(content).length })),
        );
      }
      const actor: Actor = random() < 0.2 ? BALCONY : DESK;
      const cue = pick(cues.length);
      const steps = stepsOf((cues[cue] as ReadyCue).content);
      const step = pick(steps.length);
      const next = model.next();
      const kind = pick(12);
      if (kind <= 4 && next) {
        expect(clocked.take(next.cue, next.step, { actor })).toBeNull();
        model.take(next, false);
      } else if (kind === 5) {
        const isJump = random() < 0.3;
        clocked.take(cue, step, { actor, isJump });
        model.take({ cue, step }, isJump);
      } else if (kind === 6 || kind === 7) {
        const isJump = random() < 0.3;
        const { cueId, hash } = cues[cue] as ReadyCue;
        const target = { cueId, content: hash, step: (steps[step] as (typeof steps)[number]).anchor };
        clocked.press({ kind: "arm", id: `arm-number-${i}`, target, isJump }, actor);
        model.arm({ cue, step }, isJump);
      } else if (kind === 8) {
        clocked.press({ kind: "disarm", id: `disarm-${i}` }, actor);
        model.disarm();
      } else if (kind === 9) {
        const before = clocked.state.seq;
        clocked.timed(cue);
        if (clocked.state.seq > before) model.comeByItself({ cue, step: 0 });
      } else if (kind === 10) {
        clocked.press({ kind: "goOn", id: `go-on-${i}`, cueId: (cues[cue] as ReadyCue).cueId }, actor);
        model.goOn(cue);
      } else clocked.press({ kind: "clear", id: `clear-${i}`, how: "cut" }, actor);
      clocked.wait(pick(4) * 500, 500);
      const { state } = clocked;
      const is = [placeOf(state.line.at), placeOf(findNext(state, cues)), placeOf(state.arm?.target)].map(
        told,
      );
      const expected = [model.line, model.next(), model.arms.at(-1) ?? null].map(told);
      if (is.join() !== expected.join())
        throw new Error(`Step ${i}, kind ${kind}: ${is} in place of ${expected}`);
    }
  }, 120_000);
});
