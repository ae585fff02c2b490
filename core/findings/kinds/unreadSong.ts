import { defineFinding } from "../finding.ts";

/** A song that cannot be read. */
export const unreadSong = defineFinding<{ readonly why: string }>(
  "unreadSong",
  "fault",
  ({ why }) => `${why}`,
);
