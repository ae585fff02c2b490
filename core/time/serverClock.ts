/** One ping answered: when it left and came back by this machine's clock, and what the server's clock said. */
export interface ClockSample {
  readonly sentAtMs: number;
  readonly receivedAtMs: number;
  readonly serverAtMs: number;
}

export interface ServerClock {
  /** Server time minus this machine's time, in use now. */
  readonly offsetMs: number;
  /** The best sample so far and its round trip; older ones fade. */
  readonly best: { readonly offsetMs: number; readonly roundTripMs: number; readonly atMs: number } | null;
  /** Samples taken in since the clock was unknown or jumped. */
  readonly samples: number;
}

export const UNKNOWN_CLOCK: ServerClock = { offsetMs: 0, best: null, samples: 0 };

/** A sample older than this no longer holds against a newer one: clocks drift. */
const SAMPLE_LIFE_MS = 60_000;
/** The offset in use moves to a better one by at most this per sample: a step would show as a jump in motion. */
const SLEW_MS = 2;
/** A window that was just opened is busy, and its first samples are poor: a better one is used at once. */
const SETTLING_SAMPLES = 8;
/** Beyond this a jump is better than a long crawl: the machine's clock was set. */
const STEP_ABOVE_MS = 250;

/** Takes in one answered ping. The sample with the smallest round trip wins; its error is at most half of that. */
export function updateClock(clock: ServerClock, sample: ClockSample): ServerClock {
  const roundTripMs = sample.receivedAtMs - sample.sentAtMs;
  const offsetMs = sample.serverAtMs - (sample.sentAtMs + sample.receivedAtMs) / 2;
  const { best } = clock;
  const isBetter =
    !best || roundTripMs <= best.roundTripMs || sample.receivedAtMs - best.atMs > SAMPLE_LIFE_MS;
  const jumped = best !== null && Math.abs(offsetMs - best.offsetMs) > STEP_ABOVE_MS + roundTripMs;
  const used = isBetter || jumped ? { offsetMs, roundTripMs, atMs: sample.receivedAtMs } : best;
  const gap = used.offsetMs - clock.offsetMs;
  const samples = jumped ? 0 : clock.samples;
  const steps = samples < SETTLING_SAMPLES || Math.abs(gap) > STEP_ABOVE_MS;
  const step = steps ? gap : Math.max(-SLEW_MS, Math.min(SLEW_MS, gap));
  return { offsetMs: clock.offsetMs + step, best: used, samples: samples + 1 };
}
