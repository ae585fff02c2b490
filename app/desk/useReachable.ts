import { useEffect, useState } from "react";
import { type Reachable, reachable } from "./reachable.ts";
import { useDeskData } from "./useDeskData.ts";

/** Where other devices find the server; undefined until the page is alive. */
export function useReachable(): Reachable | undefined {
  const { addresses } = useDeskData();
  const [here, setHere] = useState<string>();
  useEffect(() => setHere(location.origin), []);
  return here === undefined ? undefined : reachable(here, addresses);
}
