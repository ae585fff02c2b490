import Guides, { type OnChangeGuides } from "@scena/react-guides";
import { memo, useEffect, useRef } from "react";
import type { Template } from "../../../core/scene/template.ts";
import { useSize } from "../../ui/useSize.ts";

type GuideLines = Template["editing"]["guides"];

/** Steps between figures that leave them room, in pixels of the canvas. */
const STEPS = [10, 20, 50, 100, 200, 500, 1_000, 2_000, 5_000];
const ROOM_FOR_FIGURES_PX = 55;

/** Rulers at the top and at the left; a guide is drawn out of one and thrown back into it. */
export const Rulers = memo(function Rulers({
  zoom,
  origin,
  guides,
  onGuides,
}: {
  zoom: number;
  /** Where the canvas begins, px from the corner of what is seen. */
  origin: { readonly x: number; readonly y: number };
  guides: GuideLines;
  onGuides: (guides: GuideLines) => void;
}) {
  const step = STEPS.find((each) => each * zoom >= ROOM_FOR_FIGURES_PX) ?? 10_000;
  const lines = (along: "x" | "y") => guides.flatMap((guide) => (guide.along === along ? [guide.atPx] : []));
  const change = (along: "x" | "y", { guides: next }: OnChangeGuides) =>
    onGuides([
      ...guides.filter((guide) => guide.along !== along),
      ...next.map((px) => ({ along, atPx: Math.round(px) })),
    ]);
  const common = { zoom, step };
  return (
    <>
      <Ruler
        {...common}
        type="horizontal"
        className="col-start-2 row-start-1"
        scrollPx={-origin.x / zoom}
        guidesPx={-origin.y / zoom}
        lines={lines("y")}
        onChange={(event) => change("y", event)}
      />
      <Ruler
        {...common}
        type="vertical"
        className="col-start-1 row-start-2"
        scrollPx={-origin.y / zoom}
        guidesPx={-origin.x / zoom}
        lines={lines("x")}
        onChange={(event) => change("x", event)}
      />
    </>
  );
});

function Ruler({
  type,
  className,
  zoom,
  step,
  scrollPx,
  guidesPx,
  lines,
  onChange,
}: {
  type: "horizontal" | "vertical";
  className: string;
  zoom: number;
  step: number;
  scrollPx: number;
  guidesPx: number;
  lines: readonly number[];
  onChange: (event: OnChangeGuides) => void;
}) {
  const strip = useRef<HTMLDivElement>(null);
  const guides = useRef<Guides>(null);
  const { widthPx, heightPx } = useSize(strip);
  // biome-ignore lint/correctness/useExhaustiveDependencies: drawn anew for another size and another zoom
  useEffect(() => {
    guides.current?.resize();
    guides.current?.scroll(scrollPx, zoom);
    guides.current?.scrollGuides(guidesPx, zoom);
  }, [scrollPx, guidesPx, zoom, widthPx, heightPx]);
  const written = lines.join(" ");
  // biome-ignore lint/correctness/useExhaustiveDependencies: lists are the same where they say the same
  useEffect(() => {
    guides.current?.loadGuides([...lines]);
  }, [written]);
  return (
    <div ref={strip} className={`relative ${className}`} data-ruler={type}>
      <Guides
        ref={guides}
        type={type}
        zoom={zoom}
        unit={step}
        snapThreshold={0}
        backgroundColor="#1d1815"
        lineColor="#7d6c5f"
        textColor="#c0b1a1"
        font="11px 'Atkinson Hyperlegible Mono', monospace"
        textOffset={type === "horizontal" ? [0, 8] : [8, 0]}
        longLineSize={8}
        shortLineSize={4}
        guideStyle={{ background: "var(--color-act)" }}
        displayDragPos
        dragPosFormat={(px: number) => `${Math.round(px)}`}
        style={{ position: "absolute", inset: 0 }}
        onChangeGuides={onChange}
      />
    </div>
  );
}
