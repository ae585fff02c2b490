/** A box to tick by hand. */
export const TickBox = () => (
  <span aria-hidden="true" className="mt-0.5 inline-block size-3 shrink-0 border border-paper" />
);
