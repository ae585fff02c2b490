import { type RefObject, useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";

/** How many pictures of a sheet are not here yet, printed before they are, they would be empty boxes; else what the sheet is. */
export function PicturesToCome({ sheet, says }: { sheet: RefObject<HTMLElement | null>; says: string }) {
  const count = usePicturesToCome(sheet);
  if (count === 0) return <p className="flex-[1_1_10rem] text-[14px] leading-tight text-second">{says}</p>;
  return (
    <p role="status" className="flex-[1_1_10rem] text-[14px] leading-tight text-attention">
      {t`${count === 1 ? t`One picture is` : t`${count} pictures are`} still being painted; printed now, they would be empty.`}
    </p>
  );
}

function usePicturesToCome(sheet: RefObject<HTMLElement | null>): number {
  const [count, setCount] = useState(0);
  useEffect(() => {
    const element = sheet.current;
    if (!element) return;
    const look = () =>
      setCount([...element.querySelectorAll("img")].filter(({ complete }) => !complete).length);
    const others = new MutationObserver(look);
    others.observe(element, { childList: true, subtree: true, attributeFilter: ["src"] });
    // What happens to a picture does not bubble.
    element.addEventListener("load", look, true);
    element.addEventListener("error", look, true);
    look();
    return () => {
      others.disconnect();
      element.removeEventListener("load", look, true);
      element.removeEventListener("error", look, true);
    };
  }, [sheet]);
  return count;
}
