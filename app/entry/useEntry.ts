import { useEffect, useRef, useState } from "react";
import type { EntryTable } from "../../core/feeds/entryLink.ts";
import {
  afterAnswer,
  type EntryState,
  entryStateSchema,
  insist,
  letGo,
  NOTHING_TYPED,
  withEdit,
} from "../../core/feeds/entryQueue.ts";
import type { RowEdit } from "../../core/feeds/tableEdit.ts";
import { Deadline } from "../../core/time/deadline.ts";
import { ask, send } from "../api/call.ts";
import type { Calls } from "../api/calls.ts";
import { newId } from "../api/newId.ts";

const ASK_EVERY_MS = 1_000;
const ASK_WITHIN_MS = 6_000;

/** "opening": the page is there, and does not listen yet. */
export type Connection = "opening" | "reached" | "lost" | "ended";

/** A table as a link shows it: what is done is shown at once, kept over a lost network, and sent in order, each thing once. */
export function useEntry(token: string, start: EntryTable) {
  const [told, setTold] = useState(start);
  const [own, setOwn] = useState<EntryState>(NOTHING_TYPED);
  const [connection, setConnection] = useState<Connection>("opening");
  const now = useRef(own);
  const wake = useRef(() => {});
  const become = (next: EntryState) => {
    now.current = next;
    keep(token, next);
    setOwn(next);
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: what has changed is read from `now`
  useEffect(() => {
    become(kept(token));
    setConnection("reached");
    const end = new AbortController();
    void (async () => {
      while (!end.signal.aborted) {
        const outcome = await step(token, now.current, end.signal);
        if (end.signal.aborted) return;
        if (outcome.kind === "ended") return setConnection("ended");
        setConnection(outcome.kind);
        if (outcome.kind === "reached") {
          setTold(outcome.table);
          if (outcome.after) become(outcome.after(now.current));
        }
        if (outcome.kind === "lost" || now.current.queue.length === 0) await pause(ASK_EVERY_MS, wake);
      }
    })();
    // What the browser knows of the network is a hint to try again, no more.
    const again = () => wake.current();
    window.addEventListener("online", again);
    return () => {
      end.abort();
      wake.current();
      window.removeEventListener("online", again);
    };
  }, [token]);

  return {
    told,
    own,
    connection,
    edit: (edit: RowEdit) => {
      become(withEdit(now.current, edit, newId()));
      wake.current();
    },
    insist: (id: string) => {
      become(insist(now.current, id, newId()));
      wake.current();
    },
    letGo: (id: string) => become(letGo(now.current, id)),
  };
}

type Step =
  | { readonly kind: "lost" | "ended" }
  | {
      readonly kind: "reached";
      readonly table: EntryTable;
      readonly after?: (state: EntryState) => EntryState;
    };

/** Sends the oldest of what waits, or else asks how the table is. */
async function step(token: string, state: EntryState, end: AbortSignal): Promise<Step> {
  const deadline = new Deadline(ASK_WITHIN_MS, end);
  try {
    return await stepWithin(token, state, deadline.signal);
  } finally {
    deadline.done();
  }
}

async function stepWithin(token: string, { queue }: EntryState, signal: AbortSignal): Promise<Step> {
  const address = `/table/${token}/rows`;
  const [oldest] = queue;
  if (!oldest) {
    const answer = await ask("/table/", `${token}/rows`, signal);
    if ("value" in answer) return { kind: "reached", table: answer.value };
    return { kind: answer.problem.code === "gone" ? "ended" : "lost" };
  }
  const { id, edit } = oldest;
  const answer = await send<Calls["/table/"]["answers"]>(
    address,
    JSON.stringify({ edit, editId: id }),
    signal,
  );
  if ("value" in answer) {
    const { outcome, table } = answer.value;
    return { kind: "reached", table, after: (state) => afterAnswer(state, id, outcome) };
  }
  const { code, sentence } = answer.problem;
  if (code === "gone") return { kind: "ended" };
  if (code !== "notUnderstood") return { kind: "lost" };
  // Sent again it would be refused again: it is put before whoever typed it.
  const asked = await ask("/table/", `${token}/rows`, signal);
  if (!("value" in asked)) return { kind: "lost" };
  return {
    kind: "reached",
    table: asked.value,
    after: (state) => afterAnswer(state, id, { kind: "refused", sentence }),
  };
}

const pause = (ms: number, wake: { current: () => void }) =>
  new Promise<void>((done) => {
    const timer = setTimeout(done, ms);
    wake.current = () => {
      clearTimeout(timer);
      done();
    };
  });

const keyOf = (token: string) => `vesko-entry-${token}`;

function kept(token: string): EntryState {
  try {
    const read = entryStateSchema.safeParse(JSON.parse(localStorage.getItem(keyOf(token)) ?? "null"));
    return read.success ? read.data : NOTHING_TYPED;
  } catch {
    return NOTHING_TYPED;
  }
}

/** A browser that keeps nothing still sends what is typed while the page is open. */
function keep(token: string, state: EntryState): void {
  try {
    localStorage.setItem(keyOf(token), JSON.stringify(state));
  } catch (error) {
    console.warn(error);
  }
}
