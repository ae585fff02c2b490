import type { Placement } from "../core/compose/placements.ts";
import { type VideoMaker, VideoPlate } from "./videoPlate.ts";

type VideoPlacement = Extract<Placement, { kind: "video" }>;

interface Playing {
  readonly plate: VideoPlate;
  readonly users: Set<ClipUser>;
  /** Grows with each frame. */
  frames: number;
  /** A small copy of its frame, and of which. */
  small: { readonly canvas: HTMLCanvasElement; ofFrame: number } | undefined;
}

/** Pictures no wider than this share one small copy of each frame: to shrink a large one costs much more than to draw a small one. */
const SMALL_PX = 640;

/** What one picture has of clips that play out of sight. */
export interface ClipUser {
  /** Plays those that are among these, and no others. */
  play(placements: readonly Placement[]): void;
  /** The frame that a clip shows now; undefined before there is one. */
  frameOf(placement: VideoPlacement): CanvasImageSource | undefined;
  discard(): void;
}

/** Clips that play out of sight, for stages that draw their frames on a canvas: one plays for all pictures of the same page. */
export class HiddenClips {
  readonly #root: HTMLElement;
  readonly #videos: VideoMaker;
  readonly #playing = new Map<string, Playing>();
  readonly #listeners = new Map<ClipUser, () => void>();

  /** @param root an element in the page that the picture lies over, or that nobody sees */
  constructor(root: HTMLElement, videos: VideoMaker) {
    this.#root = root;
    this.#videos = videos;
  }

  /**
   * @param scale of the picture: device pixels to each pixel of the page
   * @param onFrame called for each new frame of a clip that this picture plays
   */
  open(scale: number, onFrame: () => void): ClipUser {
    const user: ClipUser = {
      play: (placements) => this.#play(user, placements),
      frameOf: (placement) => this.#frameOf(placement, scale),
      discard: () => {
        this.#play(user, []);
        this.#listeners.delete(user);
      },
    };
    this.#listeners.set(user, onFrame);
    return user;
  }

  #play(user: ClipUser, placements: readonly Placement[]): void {
    const wanted = new Set<string>();
    for (const placement of videosIn(placements)) {
      const mark = markOf(placement);
      wanted.add(mark);
      const playing = this.#playing.get(mark) ?? this.#begin(mark, placement);
      playing.users.add(user);
      playing.plate.update(placement, (px) => `${px}px`);
    }
    for (const [mark, { plate, users }] of this.#playing) {
      if (wanted.has(mark) || !users.delete(user) || users.size > 0) continue;
      plate.discard();
      this.#playing.delete(mark);
    }
  }

  #begin(mark: string, placement: VideoPlacement): Playing {
    const users = new Set<ClipUser>();
    const plate = new VideoPlate(placement.video, this.#videos, "fill", () => {
      playing.frames++;
      for (const user of users) this.#listeners.get(user)?.();
    });
    const playing: Playing = { plate, users, frames: 0, small: undefined };
    this.#playing.set(mark, playing);
    // Browsers let clips rest that are in no page: it stands beneath the picture, all but clear.
    Object.assign(plate.element.style, {
      position: "absolute",
      width: "2px",
      height: "2px",
      opacity: "0.01",
    });
    this.#root.prepend(plate.element);
    return playing;
  }

  #frameOf(placement: VideoPlacement, scale: number): CanvasImageSource | undefined {
    const playing = this.#playing.get(markOf(placement));
    const frame = playing?.plate.frame;
    const { width, height } = placement.video.frame;
    if (!playing || !frame || width * scale > SMALL_PX) return frame;
    playing.small ??= { canvas: smallCanvas(width / height), ofFrame: -1 };
    const { small } = playing;
    if (small.ofFrame !== playing.frames) {
      small.ofFrame = playing.frames;
      const context = small.canvas.getContext("2d");
      if (!context) return frame;
      context.globalCompositeOperation = "copy";
      context.drawImage(frame, 0, 0, small.canvas.width, small.canvas.height);
    }
    return small.canvas;
  }
}

const markOf = ({ id, video }: VideoPlacement): string => `${id} ${video.hash}`;

function* videosIn(placements: readonly Placement[]): Generator<VideoPlacement> {
  for (const placement of placements) {
    if (placement.kind === "group") yield* videosIn(placement.children);
    if (placement.kind === "video") yield placement;
  }
}

function smallCanvas(aspect: number): HTMLCanvasElement {
  const canvas = document.createElement("canvas");
  canvas.width = SMALL_PX;
  canvas.height = Math.max(1, Math.round(SMALL_PX / aspect));
  return canvas;
}
