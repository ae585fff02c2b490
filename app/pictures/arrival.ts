/** A page that came at time 0 and stays, for what is drawn without a show. */
const page = { cueId: "picture", content: "0".repeat(64), step: { occurrence: "page", unit: 0 } };
export const arrival = [
  {
    startAtMs: 0,
    sinceMs: 0,
    page,
    how: "animated" as const,
    endsAtMs: null,
    lastsMs: 10_000,
    effectMs: null,
  },
];
