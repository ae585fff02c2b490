import { useLayoutEffect, useRef, useState } from "react";

type Acts = Readonly<Record<string, (...args: never[]) => unknown>>;

/** Functions that stay the same from drawing to drawing and do what the newest of them do: what is given them need not be drawn anew. */
export function useSteady<A extends Acts>(acts: A): A {
  const latest = useRef<Acts>(acts);
  useLayoutEffect(() => {
    latest.current = acts;
  });
  const [steady] = useState(
    () =>
      Object.fromEntries(
        Object.keys(acts).map((name) => [name, (...args: never[]) => latest.current[name]?.(...args)]),
      ) as A,
  );
  return steady;
}
