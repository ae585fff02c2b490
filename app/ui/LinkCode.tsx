import qrcode from "qrcode-generator";
import { useMemo } from "react";

/** A link as a code for a camera. */
export function LinkCode({ link, label }: { link: string; label: string }) {
  const svg = useMemo(() => {
    const code = qrcode(0, "M");
    code.addData(link);
    code.make();
    return code.createSvgTag({ cellSize: 4, margin: 8, scalable: true });
  }, [link]);
  return (
    <div
      className="size-32 shrink-0 overflow-hidden rounded bg-paper [&>svg]:size-full"
      role="img"
      aria-label={label}
      // biome-ignore lint/security/noDangerouslySetInnerHtml: made by the library from our own address
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}
