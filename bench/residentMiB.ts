import { readFileSync } from "node:fs";

/** What a process holds in memory. */
export function residentMiB(processId: number): number {
  const status = readFileSync(`/proc/${processId}/status`, "utf8");
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024;
}
