import { useEffect, useRef } from "react";
import type { Output } from "../../core/screens/plan.ts";
import standIn from "../ui/standInPicture.svg";
import { runOutput } from "./runOutput.ts";

/** An output: nothing but the picture, to the pixel. */
export function OutputWindow({
  output,
  token,
  timeZone,
  overPicture,
}: {
  output: Output;
  token: string;
  timeZone: string;
  overPicture: boolean;
}) {
  const root = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!root.current) return;
    return runOutput(root.current, output, token, timeZone, overPicture);
  }, [output, token, timeZone, overPicture]);
  const background =
    output.backdrop === "opaque" || output.signal !== "picture"
      ? "#000"
      : overPicture
        ? `#2b2725 url(${standIn}) center / cover`
        : "transparent";
  return (
    <>
      <style>{`html, body { background: ${background}; overflow: hidden; margin: 0; cursor: none; }`}</style>
      <main ref={root} aria-label={output.name} style={{ position: "fixed", inset: 0, overflow: "hidden" }} />
    </>
  );
}
