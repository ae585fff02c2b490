import { shutOrOpen } from "../../core/show/pressOfAction.ts";
import type { DeskStore } from "./deskStore.ts";

/** Shuts all screens, or opens what that has shut. */
export const shutAll = (store: DeskStore, picture: "black" | "standBy"): void =>
  store.air.press(shutOrOpen(store.getSnapshot().state, picture));
