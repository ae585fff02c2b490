import { vi } from "vitest";

/** As long as a whole test may take on a machine that stalls: what is waited for is never timed. */
const PATIENCE = { timeout: 50_000, interval: 2 };

/** Waits until a check throws no more. @returns what it returned then */
export const eventually = <T>(check: () => T | Promise<T>): Promise<T> => vi.waitFor(check, PATIENCE);
