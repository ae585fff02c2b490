import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { CheckFinding } from "../../../core/check/gather.ts";
import { useDeskStore } from "../deskContext.ts";
import type { DeskStore } from "../deskStore.ts";
import { useDeskData } from "../useDeskData.ts";
import { type CheckState, CheckStore } from "./checkStore.ts";

const stores = new WeakMap<DeskStore, CheckStore>();
const ON_SERVER: CheckState = { status: "looking", findings: [], byCue: new Map(), looked: 0, tookMs: 0 };

function useCheckStore(): CheckStore | undefined {
  const desk = useDeskStore();
  const { licence } = useDeskData();
  const [store, setStore] = useState<CheckStore>();
  useEffect(() => {
    const own = stores.get(desk) ?? new CheckStore(desk);
    stores.set(desk, own);
    own.setLicence(licence);
    setStore(own);
  }, [desk, licence]);
  return store;
}

/** Somebody waits for what is found. */
export function useHurriedCheck(): void {
  const store = useCheckStore();
  useEffect(() => store?.hurry(), [store]);
}

const never = () => () => {};

/** What is read of what the check has found; drawn anew only when that is another. */
export function useCheck<T>(read: (state: CheckState) => T): T {
  const store = useCheckStore();
  const latest = useRef(read);
  latest.current = read;
  return useSyncExternalStore(
    store?.subscribe ?? never,
    () => latest.current(store?.getSnapshot() ?? ON_SERVER),
    () => latest.current(ON_SERVER),
  );
}

const NONE: readonly CheckFinding[] = [];

/** What is found about one cue. */
export const useCueFindings = (cueId: string): readonly CheckFinding[] =>
  useCheck(({ byCue }) => byCue.get(cueId) ?? NONE);
