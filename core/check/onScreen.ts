/** A screen as what a finding is about. */
export const onScreen = (id: string) => ({ kind: "screen", id }) as const;
