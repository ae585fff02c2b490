import { useCallback, useEffect, useState } from "react";
import type { Range, Report } from "../../core/report/report.ts";
import type { SongUse } from "../../core/report/songUse.ts";
import { ask } from "../api/call.ts";
import type { AskPath, Asks } from "../api/calls.ts";

const NO_REPORT: Report = { evening: null, shown: [], cues: [], notes: [], beside: [], hasBeside: false };

export interface Asked<T> {
  readonly value: T;
  /** Undefined while it is asked for, and when it was answered. */
  readonly problem: string | undefined;
  readonly isLoading: boolean;
  readonly again: () => void;
}

function useAsked<P extends AskPath>(path: P, { fromMs, untilMs }: Range, none: Asks[P]): Asked<Asks[P]> {
  const [asked, setAsked] = useState<{ value: Asks[P]; problem?: string; isLoading: boolean }>({
    value: none,
    isLoading: true,
  });
  const [times, setTimes] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for again when that is wished
  useEffect(() => {
    const end = new AbortController();
    void ask(
      path,
      `?${new URLSearchParams({ from: String(fromMs), until: String(untilMs) })}`,
      end.signal,
    ).then((answer) => {
      if (end.signal.aborted) return;
      if ("problem" in answer)
        setAsked(({ value }) => ({ value, problem: answer.problem.sentence, isLoading: false }));
      else setAsked({ value: answer.value, isLoading: false });
    });
    return () => end.abort();
  }, [path, fromMs, untilMs, times]);
  const again = useCallback(() => setTimes((before) => before + 1), []);
  return { ...asked, problem: asked.problem, again };
}

export const useReport = (range: Range): Asked<Report> => useAsked("/as-run", range, NO_REPORT);

const NO_SONGS: { readonly songs: readonly SongUse[] } = { songs: [] };
export const useSongUse = (range: Range): Asked<{ readonly songs: readonly SongUse[] }> =>
  useAsked("/song-use", range, NO_SONGS);
