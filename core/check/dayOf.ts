/** The day of an evening, or today where none is said: YYYY-MM-DD. */
export const dayOf = ({ evening, today }: { evening: { day: string }; today: string }) =>
  evening.day || today;
