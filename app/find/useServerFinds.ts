import { useEffect, useState } from "react";
import type { Finds } from "../../core/words/finds.ts";
import { ask } from "../api/call.ts";

const NOTHING: Finds = { songs: [], songsAreGuesses: false, passages: [], verses: [], problem: null };

/** Songs, passages and verses for what is typed; a late answer never takes the place of a newer one. */
export function useServerFinds(query: string): { readonly finds: Finds; readonly of: string } {
  const [known, setKnown] = useState({ finds: NOTHING, of: "" });
  useEffect(() => {
    if (query.trim() === "") {
      setKnown({ finds: NOTHING, of: query });
      return;
    }
    const asking = new AbortController();
    void ask("/find", `?q=${encodeURIComponent(query)}`, asking.signal).then((answer) => {
      if ("value" in answer) setKnown({ finds: answer.value, of: query });
    });
    return () => asking.abort();
  }, [query]);
  return known;
}
