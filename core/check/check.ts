import type { Finding } from "../findings/finding.ts";
import type { Rect } from "../picture/picture.ts";
import type { Anchor } from "../rundown/anchor.ts";
import type { CheckLimits } from "../venue/checkLimits.ts";
import type { CheckedCue } from "./checkedCue.ts";
import type { EveningToCheck } from "./evening.ts";
import type { Mend } from "./mend.ts";
import type { PageOnScreen } from "./pageFacts.ts";
import type { StageMoment } from "./walk.ts";

/** What a check has found at one place. */
export interface Found {
  readonly finding: Finding;
  /** The cue it is about; null: it is about a screen, a feed, or the whole evening. */
  readonly cueId: string | null;
  readonly step?: Anchor;
  readonly outputId?: string;
  /** What is outlined on the screen's picture, in pixels of its canvas. */
  readonly rect?: Rect;
  readonly mends?: readonly Mend[];
  /** How bad it is among those of its kind: the worst of a cue speaks for the others. */
  readonly amount?: number;
}

/** One page as the checks see it: laid out for one screen under one of the plans that are used. */
export interface PageLook {
  readonly page: PageOnScreen;
  readonly evening: EveningToCheck;
  readonly limits: CheckLimits;
}

/** All that one screen shows at one step of the evening, when the script is gone through in its order. */
export interface StackLook {
  readonly moment: StageMoment;
  /** From the back to the front. */
  readonly pages: readonly PageOnScreen[];
  readonly evening: EveningToCheck;
  readonly limits: CheckLimits;
}

export interface CueLook {
  readonly cue: CheckedCue;
  readonly evening: EveningToCheck;
  readonly limits: CheckLimits;
}

export interface EveningLook {
  readonly evening: EveningToCheck;
  readonly moments: readonly StageMoment[];
  readonly limits: CheckLimits;
}

/** A check: what it is called in lists, and what it looks at. One file each in `kinds/`, and a line in `checks.ts`. */
export interface Check {
  /** The code of what it finds. */
  readonly code: string;
  /** What all that it finds is called: "Words too small". */
  readonly name: string;
  readonly page?: (look: PageLook) => readonly Found[];
  readonly stack?: (look: StackLook) => readonly Found[];
  readonly cue?: (look: CueLook) => readonly Found[];
  readonly evening?: (look: EveningLook) => readonly Found[];
}
