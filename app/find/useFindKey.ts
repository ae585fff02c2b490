import { useKeys } from "../ui/useKeys.ts";

/** F opens Find where nobody types; Ctrl+F everywhere. */
export function useFindKey(open: () => void): void {
  const everywhere = { run: open, where: "everywhere" } as const;
  useKeys({ f: { run: open }, "Control+f": everywhere, "Meta+f": everywhere });
}
