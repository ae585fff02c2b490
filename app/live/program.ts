import { ProgramScreen } from "../../painters/program/programScreen.ts";
import { openChosenCamera } from "./chosenCamera.ts";
import standIn from "./standInPicture.svg";

/** On an output it moves as a camera does; on the desk a recent frame is enough. */
const QUALITY = {
  output: { framesPerSecond: 25, widthPx: 960 },
  desk: { framesPerSecond: 2, widthPx: 320 },
} as const;

/** The program picture of this window. */
export const openProgram = (kind: keyof typeof QUALITY, now: () => number): ProgramScreen =>
  new ProgramScreen({
    now,
    addressOf: (file) => `/media/${file}`,
    standIn,
    findCamera: openChosenCamera,
    ...QUALITY[kind],
  });
