import type { Placement } from "../core/compose/placements.ts";

/** What shows placements: exactly these, from the back to the front, until it is told others. */
export interface Stage {
  draw(placements: readonly Placement[]): void;
  /** Lets go of everything shown. */
  discard(): void;
}

/** Several stages that show the same on the same frame. */
export function sideBySide(stages: readonly Stage[]): Stage {
  return {
    draw: (placements) => {
      for (const stage of stages) stage.draw(placements);
    },
    discard: () => {
      for (const stage of stages) stage.discard();
    },
  };
}
