import { useEffect, useState } from "react";
import type { Finds } from "../routes/find.ts";

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
    fetch(`/find?q=${encodeURIComponent(query)}`, { signal: asking.signal })
      .then(async (response) => setKnown({ finds: (await response.json()) as Finds, of: query }))
      .catch(() => {});
    return () => asking.abort();
  }, [query]);
  return known;
}
