import { type ReactNode, useRef } from "react";

/**
 * Pictures of what something in hand does not change: while it is held they are the very elements that they were, and nothing of
 * them is worked out again.
 */
export function useHeld(isHeld: boolean): (name: string, make: () => ReactNode) => ReactNode {
  const kept = useRef(new Map<string, ReactNode>());
  return (name, make) => {
    if (isHeld && kept.current.has(name)) return kept.current.get(name);
    const made = make();
    kept.current.set(name, made);
    return made;
  };
}
