/** The invented show and its songs, for tests of core. */
export * from "../demo/lanternEvening.ts";
export * from "../demo/songs.ts";
