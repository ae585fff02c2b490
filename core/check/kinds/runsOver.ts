import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { minutesOf, timesOf, writeTime } from "../eveningTimes.ts";

const over = defineFinding<{ readonly byMin: number; readonly until: string; readonly end: string }>(
  "runsOver",
  "warning",
  ({ byMin, until, end }) =>
    t`As it is planned, the evening ends at ${until}, ${byMin} min after its end at ${end}.`,
);

/** An evening whose planned lengths are more than it has. */
export const runsOver: Check = {
  code: over.code,
  name: t`The evening runs over`,
  evening: ({ evening, limits: { overMinutes } }) => {
    const { startsAt, endsAt } = evening.evening;
    if (startsAt === "" || endsAt === "") return [];
    const untilMin = timesOf(evening).at(-1)?.endsMin ?? null;
    if (untilMin === null) return [];
    const [begin, end] = [minutesOf(startsAt), minutesOf(endsAt)];
    const endMin = end <= begin ? end + 24 * 60 : end;
    const byMin = Math.ceil(untilMin - endMin);
    if (byMin <= overMinutes) return [];
    const figures = { byMin, until: writeTime(untilMin), end: endsAt };
    return [{ finding: over({ kind: "evening", id: evening.evening.id }, figures), cueId: null }];
  },
};
