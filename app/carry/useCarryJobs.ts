import { useCallback, useEffect, useState } from "react";
import type { CarryEdit, CarryJobView } from "../../core/carry/carryView.ts";
import { ask, call } from "../api/call.ts";
import { useDeskStore } from "../desk/deskContext.ts";

const LOOK_EVERY_MS = 400;

/** What is done with show files, looked at again and again while anything is: every desk sees the same. */
export function useCarryJobs(atFirst: readonly CarryJobView[]) {
  const store = useDeskStore();
  const [jobs, setJobs] = useState(atFirst);
  const look = useCallback(async () => {
    const answer = await ask("/carry-jobs");
    // While the show is opened again nobody answers: it is asked once more.
    if ("value" in answer) setJobs(answer.value.jobs);
  }, []);
  const isRunning = jobs.some(({ state }) => state.kind === "running");
  useEffect(() => {
    const timer = setInterval(() => void look(), isRunning ? LOOK_EVERY_MS : LOOK_EVERY_MS * 10);
    return () => clearInterval(timer);
  }, [look, isRunning]);
  /** @returns the id of what was begun */
  const edit = async (wanted: CarryEdit): Promise<string | undefined> => {
    const answer = await call("/carry-edit", wanted);
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    await look();
    return "value" in answer ? answer.value.id : undefined;
  };
  return { jobs, edit };
}
