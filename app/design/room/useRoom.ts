import { useEffect, useRef, useState, useSyncExternalStore } from "react";
import type { DesignState } from "../../../core/design/designEdit.ts";
import type { DesignDoc, DesignKindName } from "../../../core/design/designKinds.ts";
import { t } from "../../../core/language/t.ts";
import { type Problem, problemOf } from "../../../core/wire/problem.ts";
import { type Answered, ask, call } from "../../api/call.ts";
import type { DesignAnswer } from "../../api/calls.ts";
import { useDeskStore } from "../../desk/deskContext.ts";
import { Room, type RoomAnswer, type RoomSnapshot } from "./room.ts";

/** A thing in the making in this window, told of what others do to it. */
export function useRoom<K extends DesignKindName>(
  { kind, id }: { readonly kind: K; readonly id: string },
  start: { readonly doc: DesignDoc<K>; readonly state: DesignState },
  actor: string,
): Room<K> {
  const store = useDeskStore();
  const who = useRef(actor);
  who.current = actor;
  const [room] = useState(
    () =>
      new Room({ kind, id }, start, {
        send: async (edit) => stillThere(await call("/design-edit", { actor: who.current, edit })),
        fetch: async (of) =>
          stillThere(await ask("/design-state", `?${new URLSearchParams({ ...of, actor: who.current })}`)),
        say: (sentence) => store.say("trouble", sentence),
      }),
  );
  // What a person can take back is known once it is known who it is.
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for again for another person
  useEffect(() => void room.refresh(), [room, actor]);
  useEffect(
    () =>
      store.onDesign((of, revision) => {
        if (of.kind === kind && of.id === id && revision !== null) void room.heard(revision);
      }),
    [store, room, kind, id],
  );
  return room;
}

export const useRoomSnapshot = <K extends DesignKindName>(room: Room<K>): RoomSnapshot<K> =>
  useSyncExternalStore(room.subscribe, room.getSnapshot, room.getSnapshot);

const GONE: Problem = problemOf("gone", t`It was deleted meanwhile. Nothing was changed.`).problem;

function stillThere(answer: Answered<DesignAnswer>): Answered<RoomAnswer> {
  if ("problem" in answer) return answer;
  return "doc" in answer.value ? { value: answer.value } : { problem: GONE };
}
