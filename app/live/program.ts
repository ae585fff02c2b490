import { ProgramFrame } from "../../painters/program/programFrame.ts";
import { ProgramScreen } from "../../painters/program/programScreen.ts";
import { openChosenCamera } from "./chosenCamera.ts";
import { hide } from "./hide.ts";
import standIn from "./standInPicture.svg";

/** Pictures of one source in a second: on an output it moves as a camera does, on the desk a recent frame is enough. */
const FRAMES_PER_SECOND = { output: 25, desk: 2 } as const;
const DESK_WIDTH_PX = 320;
const WIDEST_PX = 1_920;

/** The program picture of this window as it is now, on a canvas. */
export function openProgramFrame(program: ProgramScreen): ProgramFrame {
  const element = program.makeElement();
  hide(element);
  document.body.append(element);
  return new ProgramFrame(element, standIn);
}

/** The program picture of this window. @param isHeard whether a clip that plays is heard here */
export const openProgram = (
  kind: keyof typeof FRAMES_PER_SECOND,
  now: () => number,
  isHeard: () => boolean = () => false,
): ProgramScreen =>
  new ProgramScreen({
    now,
    isHeard,
    addressOf: (file) => `/media/${file}`,
    standIn,
    findCamera: openChosenCamera,
    framesPerSecond: FRAMES_PER_SECOND[kind],
    // As wide as the window: a picture that is stretched costs the browser more than one that is drawn large.
    widthPx: () =>
      kind === "desk"
        ? DESK_WIDTH_PX
        : Math.min(WIDEST_PX, Math.round(window.innerWidth * window.devicePixelRatio)),
  });
