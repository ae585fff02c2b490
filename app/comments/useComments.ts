import { useEffect, useRef, useState } from "react";
import type { CommentSettings, CommentTold } from "../../core/comments/comment.ts";
import { ask, call } from "../api/call.ts";
import type { CommentsEdit } from "../api/calls.ts";
import { useDeskStore } from "../desk/deskContext.ts";

interface Told {
  /** In the order in which they came. */
  readonly comments: readonly CommentTold[];
  readonly settings: CommentSettings;
}

const ASK_EVERY_MS = 1_000;

/** What people wrote, as it comes; asked for while it is looked at, and at once after something was done. */
export function useComments() {
  const store = useDeskStore();
  const [told, setTold] = useState<Told>();
  const known = useRef<{ readonly version: number; readonly comments: ReadonlyMap<string, CommentTold> }>({
    ...{ version: 0, comments: new Map() },
  });
  const askNow = useRef(() => {});

  useEffect(() => {
    const end = new AbortController();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async () => {
      clearTimeout(timer);
      const answer = await ask("/comments-list", `?since=${known.current.version}`, end.signal);
      if (end.signal.aborted) return;
      if ("value" in answer) {
        const { since, version, count, comments, settings } = answer.value;
        const isOther = version !== known.current.version;
        const all = new Map(since === 0 ? [] : known.current.comments);
        for (const comment of comments) all.set(comment.id, comment);
        // Some have gone since: all are asked for anew.
        known.current = { version: all.size === count ? version : 0, comments: all };
        if (isOther) setTold({ comments: [...all.values()], settings });
      }
      clearTimeout(timer);
      timer = setTimeout(() => void look(), ASK_EVERY_MS);
    };
    askNow.current = () => void look();
    void look();
    return () => {
      end.abort();
      clearTimeout(timer);
    };
  }, []);

  /** @returns whether it was done */
  const act = async (edit: CommentsEdit): Promise<boolean> => {
    const answer = await call("/comments-edit", edit);
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    askNow.current();
    return "value" in answer;
  };
  return { told, act };
}
