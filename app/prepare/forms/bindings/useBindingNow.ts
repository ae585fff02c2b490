import { useEffect, useState } from "react";
import type { Binding, Picks } from "../../../../core/feeds/binding.ts";
import type { Resolved } from "../../../../core/feeds/resolveBinding.ts";
import { call } from "../../../api/call.ts";
import { useDesk } from "../../../desk/deskContext.ts";

const TYPED_MS = 150;

/** What a binding gives as the feed is now; undefined until it is known. */
export function useBindingNow(binding: Binding, picks: Picks): Resolved | undefined {
  const { feeds } = useDesk("feeds");
  const version = feeds.find(({ id }) => id === binding.feedId)?.version ?? 0;
  const asked = JSON.stringify({ binding, picks });
  const [now, setNow] = useState<Resolved>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: another table gives another value
  useEffect(() => {
    let isOver = false;
    const timer = setTimeout(
      () =>
        void call("/binding-now", JSON.parse(asked)).then((answer) => {
          if (!isOver && "value" in answer) setNow(answer.value);
        }),
      TYPED_MS,
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [asked, version]);
  return now;
}
