import type { DeskStore } from "./deskStore.ts";

/** Shuts all screens, or opens what that has shut. With one shut by itself already, it shuts the rest. */
export function shutAll(store: DeskStore, picture: "black" | "standBy"): void {
  const isOn = Object.values(store.getSnapshot().state.shutters).some(
    (shutter) => shutter.untilMs === null && shutter.byAll && shutter.picture === picture,
  );
  store.air.press({ kind: "shut", outputIds: null, picture: isOn ? null : picture });
}
