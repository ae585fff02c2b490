import { useEffect, useState } from "react";

/** Undo belongs to the person: the same browser tab, over reloads. */
export function useActor(fallback: string): string {
  const [actor, setActor] = useState(fallback);
  useEffect(() => {
    const known = sessionStorage.getItem("vesko-person") ?? fallback;
    sessionStorage.setItem("vesko-person", known);
    setActor(known);
  }, [fallback]);
  return actor;
}
