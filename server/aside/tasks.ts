import { checkFont } from "../files/checkFont.ts";
import { drawMark } from "../files/drawMark.ts";
import { packDesign } from "../files/packDesign.ts";
import { packSongs } from "../files/packSongs.ts";
import { probeMedia } from "../files/probeMedia.ts";
import { readClipDetails } from "../files/readClipDetails.ts";
import { readDesignFile } from "../files/readDesignFile.ts";
import { readSongFile } from "../files/readSongFile.ts";
import { readTable } from "../files/tables/readTable.ts";

/** What can be done aside. Inputs and results are plain data; files are named by where they lie on the server. */
export const TASKS = {
  checkFont,
  drawMark,
  probeMedia,
  packDesign,
  packSongs,
  readClipDetails,
  readDesignFile,
  readSongFile,
  readTable,
} as const;

export type TaskName = keyof typeof TASKS;
export type TaskInput<T extends TaskName> = Parameters<(typeof TASKS)[T]>[0];
export type TaskResult<T extends TaskName> = Awaited<ReturnType<(typeof TASKS)[T]>>;
