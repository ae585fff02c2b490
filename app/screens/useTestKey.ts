import type { DeskStore } from "../desk/deskStore.ts";
import { useKeys } from "../ui/useKeys.ts";

/** T shows bars on the chosen screen or takes its test picture away, Shift+T on all of them. */
export function useTestKey(store: DeskStore, chosenId: string | undefined): void {
  const press = (outputIds: readonly string[] | null) => {
    const { tests } = store.getSnapshot().state;
    const isOn = (outputIds ?? Object.keys(tests)).some((id) => tests[id]);
    store.air.press({
      kind: "test",
      picture: isOn ? null : "bars",
      outputIds: outputIds && [...outputIds],
    });
  };
  useKeys({
    t: { run: () => press(chosenId === undefined ? [] : [chosenId]), isOnce: true },
    "Shift+t": { run: () => press(null), isOnce: true },
  });
}
