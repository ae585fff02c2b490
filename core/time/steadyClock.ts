/** How the show's time stands to the clocks it is told by. */
export interface SteadyClock {
  /** Show time minus the steady count, ms. */
  readonly offsetMs: number;
  /** The steady count when it was last looked at. */
  readonly lookedAtMs: number;
}

/** What happened at a look. */
export type ClockChange =
  | { readonly kind: "followed" }
  /** The machine slept, or its clock was set on: the show's time went with it. */
  | { readonly kind: "wentOn"; readonly byMs: number }
  /** Its clock was set back by so much: the show's time does not, and comes nearer slowly. */
  | { readonly kind: "ahead"; readonly byMs: number };

/** Moving clocks show no jump below this rate: 5 ms in a second. */
const SLEW_SHARE = 0.005;
/** A clock that is set on by more than this was set, or the machine slept. */
const STEP_ABOVE_MS = 2_000;
/** Being ahead by more is told. */
const TOLD_ABOVE_MS = 2_000;

/**
 * A clock that never goes back and never jumps but forwards: what is on air hangs on it.
 * @param steadyMs a count that only grows, such as the machine's uptime
 * @param wallMs what the machine's clock says
 * @param floorMs the latest time that was written down: a clock that was set back must not put the air into the future
 */
export function startClock(steadyMs: number, wallMs: number, floorMs: number): SteadyClock {
  return { offsetMs: Math.max(wallMs, floorMs) - steadyMs, lookedAtMs: steadyMs };
}

/** Follows the machine's clock: small corrections at a rate nobody sees, large ones forwards at once, backwards never. */
export function followClock(
  clock: SteadyClock,
  steadyMs: number,
  wallMs: number,
): { readonly clock: SteadyClock; readonly change: ClockChange } {
  const elapsedMs = Math.max(0, steadyMs - clock.lookedAtMs);
  const gapMs = wallMs - (steadyMs + clock.offsetMs);
  if (gapMs > STEP_ABOVE_MS)
    return {
      clock: { offsetMs: clock.offsetMs + gapMs, lookedAtMs: steadyMs },
      change: { kind: "wentOn", byMs: gapMs },
    };
  const most = elapsedMs * SLEW_SHARE;
  const offsetMs = clock.offsetMs + Math.max(-most, Math.min(most, gapMs));
  return {
    clock: { offsetMs, lookedAtMs: steadyMs },
    change: gapMs < -TOLD_ABOVE_MS ? { kind: "ahead", byMs: -gapMs } : { kind: "followed" },
  };
}
