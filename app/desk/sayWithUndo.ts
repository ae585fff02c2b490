import { t } from "../../core/language/t.ts";
import type { DeskStore } from "./deskStore.ts";

/** Says what was done on air, with the way back beside it. */
export function sayWithUndo(store: DeskStore, sentence: string): void {
  store.say("word", sentence, { label: t`Undo`, act: () => store.air.undo() });
}
