import { useEffect, useRef } from "react";
import type { Output } from "../../core/venue/plan.ts";
import { groundOf } from "./ground.ts";
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
  return (
    <>
      <style>{`html, body { background: ${groundOf(output, overPicture)}; overflow: hidden; margin: 0; cursor: none; }`}</style>
      <main ref={root} aria-label={output.name} style={{ position: "fixed", inset: 0, overflow: "hidden" }} />
    </>
  );
}
