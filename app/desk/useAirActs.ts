import { useMemo } from "react";
import { AIR_ACTION_IDS, AIR_ACTIONS, type AirAction, layerOfAction } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { chorusFrom, sectionsOf } from "../../core/rundown/sections.ts";
import type { DeskMode } from "../../core/show/deskMode.ts";
import type { Target } from "../../core/show/line.ts";
import { clipPress } from "../../core/show/pressOfAction.ts";
import type { DeskStore } from "./deskStore.ts";
import { shutAll } from "./shutAll.ts";

/** What the operator can do, by key or by button. */
export interface AirActs {
  readonly act: (action: AirAction) => void;
  /** Whether it is held before it acts. */
  readonly isGuarded: (action: AirAction) => boolean;
  readonly switchPlan: (index: number) => void;
  readonly armSection: (index: number) => void;
}

export function useAirActs(
  store: DeskStore,
  mode: DeskMode,
  own: { readonly lock: () => void; readonly stageNote: () => void; readonly edit: () => void },
): AirActs {
  return useMemo(() => {
    const guard = (worksLocked: boolean, run: () => void) => {
      if (mode !== "locked" || worksLocked) run();
      else
        store.say(
          "word",
          t`The desk is locked to take, arm and out. Hold the lock key to unlock it; the air is as it was.`,
        );
    };
    const armIn = (find: (target: Pick<Target, "cueId" | "step">) => Target | undefined) => {
      const { state, next } = store.getSnapshot();
      const from = state.line.at ?? next;
      const target = from && find(from);
      if (target) store.air.arm(target);
    };
    const cueOf = (cueId: string) => store.getSnapshot().ready.find((cue) => cue.cueId === cueId);
    const layerAt = (index: number) => store.getSnapshot().state.layers[index];
    const layerOuts = Object.fromEntries(
      AIR_ACTION_IDS.flatMap((action) => {
        const index = layerOfAction(action);
        const out = () => {
          const layer = index === undefined ? undefined : layerAt(index);
          if (layer) store.air.layerOut(layer.id);
        };
        return index === undefined ? [] : [[action, out] as const];
      }),
    );
    const run: Readonly<Partial<Record<AirAction, () => void>>> = {
      ...layerOuts,
      take: () => store.air.take("usual"),
      cut: () => store.air.take("cut"),
      dissolve: () => store.air.take("dissolve"),
      out: () => store.air.out(),
      undo: () => store.air.undo(),
      goOn: () => store.air.goOn(),
      clear: () => store.air.press({ kind: "clear", how: "animated" }),
      clearEverything: () => store.air.press({ kind: "clearEverything", how: "animated" }),
      black: () => shutAll(store, "black"),
      blackAtOnce: () => shutAll(store, "black"),
      standBy: () => shutAll(store, "standBy"),
      send: () => store.air.press({ kind: "send", layerId: null }),
      hold: () => store.air.press({ kind: "hold" }),
      stopTriggers: () => {
        const { areStopped } = store.getSnapshot().state.triggers;
        store.air.press({ kind: "stopTriggers", areStopped: !areStopped });
      },
      otherAtSource: () => store.air.press({ kind: "otherAtSource" }),
      clip: () => {
        const { state, follow } = store.getSnapshot();
        const press = clipPress(
          state,
          (follow?.clips ?? []).map((clip) => ({ clip })),
        );
        if (press) store.air.press(press);
        else store.say("word", t`There is no clip in the list yet. Bring one under Material → Clips.`);
      },
      nextClip: () => store.air.press({ kind: "clip", does: { kind: "next" } }),
      armNext: () => store.air.armNeighbour(1, "step"),
      armBefore: () => store.air.armNeighbour(-1, "step"),
      armNextCue: () => store.air.armNeighbour(1, "cue"),
      armCueBefore: () => store.air.armNeighbour(-1, "cue"),
      back: () => store.air.armBefore(),
      chorus: () =>
        armIn(({ cueId, step }) => {
          const cue = cueOf(cueId);
          const chorus = cue && chorusFrom(cue.content, step);
          return chorus && { cueId, content: cue.hash, step: chorus.anchor };
        }),
      follow: () => store.air.press({ kind: "disarm" }),
      stageNote: own.stageNote,
      edit: own.edit,
      lock: own.lock,
    };
    return {
      act: (action) => guard(AIR_ACTIONS[action].worksLocked, () => run[action]?.()),
      isGuarded: (action) => {
        const index = layerOfAction(action);
        return index === undefined ? AIR_ACTIONS[action].isGuarded : (layerAt(index)?.persistent ?? false);
      },
      switchPlan: (index) => {
        const { plans, state } = store.getSnapshot();
        const plan = plans[index];
        if (plan && plan.id !== state.plan.id)
          guard(false, () =>
            store.air.press({ kind: "switchPlan", planId: plan.id, builtOn: state.airRevision }),
          );
      },
      armSection: (index) =>
        guard(true, () =>
          armIn(({ cueId }) => {
            const cue = cueOf(cueId);
            const section = cue && sectionsOf(cue.content)[index];
            return section && { cueId, content: cue.hash, step: section.anchor };
          }),
        ),
    };
  }, [store, mode, own]);
}
