export const buttonClass =
  "min-h-10 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted";
export const mainButtonClass =
  "min-h-10 rounded-lg bg-act px-5 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:font-normal disabled:text-quiet";
