/** Of boxes and selects in the panels of the room. */
export const boxClass =
  "min-h-8 w-full min-w-0 rounded-md border border-edge-strong bg-ground px-2 text-[14px] text-paper";
export const smallButton =
  "inline-flex min-h-8 items-center gap-1 rounded-md bg-lifted px-2 text-[14px] hover:bg-edge disabled:text-quiet";
/** Of what is pressed in the bars of the room. */
export const toolClass =
  "grid min-h-9 min-w-9 place-content-center rounded-md px-2 text-[15px] hover:bg-lifted disabled:text-quiet disabled:hover:bg-transparent";
