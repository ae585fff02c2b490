import { type AirAction, type KeyMap, keysOf, nameOfKey } from "../../core/keys/keyMap.ts";
import { t } from "../../core/language/t.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import { isNearAny } from "../../core/words/nearWords.ts";
import type { DeskStore } from "../desk/deskStore.ts";
import { shutAll } from "../desk/shutAll.ts";
import { FINDABLE } from "../views.ts";

/** Something the desk can do, by name. */
export interface DeskCommand {
  readonly name: string;
  readonly key: string | null;
  /** Changes what people see: Enter alone does not do it. */
  readonly changesAir: boolean;
  readonly act: () => void;
}

/**
 * What Find can do besides finding. Clearing is not among it: that key is held.
 * @param keys the venue's own, which each command names
 */
export function deskCommands(
  store: DeskStore,
  keys: KeyMap,
  go: (path: string) => void,
): readonly DeskCommand[] {
  const keyOf = (action: AirAction): string | null => {
    const [key] = keysOf(keys, action);
    return key === undefined ? null : nameOfKey(key);
  };
  const view = (name: string, path: string): DeskCommand => ({
    name,
    key: null,
    changesAir: false,
    act: () => go(path),
  });
  const air = (name: string, key: string | null, act: () => void): DeskCommand => ({
    name,
    key,
    changesAir: true,
    act,
  });
  const desk = (name: string, key: string | null, act: () => void): DeskCommand => ({
    name,
    key,
    changesAir: false,
    act,
  });
  return [
    ...FINDABLE.map(({ path, name }) => view(t`Go to ${name}`, `/${path}`)),
    view(t`Find and replace words in the rundown`, "/prepare?panel=replace"),
    view(t`Credits that are missing`, "/prepare?panel=credits"),
    view(t`Bin: cues that were deleted`, "/prepare?panel=bin"),
    view(t`Import a scripture text`, "/texts"),
    view(t`Import songs`, "/songs"),
    air(t`Take the next step`, keyOf("take"), () => store.air.take("usual")),
    air(t`Cut to the next step`, keyOf("cut"), () => store.air.take("cut")),
    air(t`Undo`, keyOf("undo"), () => store.air.undo()),
    ...store
      .getSnapshot()
      .plans.map(({ id, name }, at) =>
        air(t`Switch to the screen plan “${name}”`, at < 9 ? `⇧${at + 1}` : null, () =>
          store.air.press({ kind: "switchPlan", planId: id, builtOn: store.getSnapshot().state.airRevision }),
        ),
      ),
    desk(t`Rehearse, or back to the air`, null, () => store.rehearse(store.getSnapshot().channel === "air")),
    desk(t`Arm the step after`, keyOf("armNext"), () => store.air.armNeighbour(1, "step")),
    desk(t`Arm the cue after`, keyOf("armNextCue"), () => store.air.armNeighbour(1, "cue")),
    air(t`All screens to black, or back to their picture`, null, () => shutAll(store, "black")),
    air(t`All screens to their stand-by, or back to their picture`, null, () => shutAll(store, "standBy")),
    desk(t`Lock this desk, or unlock it`, null, () =>
      store.setMode(store.getSnapshot().mode === "locked" ? "free" : "locked"),
    ),
    desk(t`Only watch on this desk, or work again`, null, () =>
      store.setMode(store.getSnapshot().mode === "watching" ? "free" : "watching"),
    ),
    desk(t`Follow the script again`, keyOf("follow"), () => store.air.press({ kind: "disarm" })),
  ];
}

export function findCommands(query: string, commands: readonly DeskCommand[]): DeskCommand[] {
  const words = foldWords(query).split(" ").filter(Boolean);
  if (words.length === 0) return [];
  const found = commands.filter(({ name }) => {
    const folded = foldWords(name);
    return words.every((word) => folded.includes(word));
  });
  if (found.length > 0 || words.join("").length < 4) return found;
  return commands.filter(({ name }) => {
    const own = foldWords(name).split(" ");
    return words.every((word) => isNearAny(word, own));
  });
}
