import { useEffect, useRef } from "react";
import Markdown, { type Components } from "react-markdown";
import remarkGfm from "remark-gfm";
import { GUIDES, guideOfLink, pictureOf } from "./guides.ts";
import type { HelpPlace } from "./helpOfViews.ts";
import { idOfHeading } from "./sections.ts";

const plain = (children: unknown): string =>
  Array.isArray(children) ? children.map(plain).join("") : typeof children === "string" ? children : "";

/** A guide, at one of its sections. */
export default function HelpText({ place, go }: { place: HelpPlace; go: (place: HelpPlace) => void }) {
  const element = useRef<HTMLDivElement>(null);
  const guide = GUIDES.find(({ id }) => id === place.guide);
  useEffect(() => {
    const heading =
      place.section === "" ? null : element.current?.querySelector(`[id="${CSS.escape(place.section)}"]`);
    if (heading) heading.scrollIntoView({ block: "start" });
    else element.current?.scrollIntoView({ block: "start" });
  }, [place]);
  if (!guide) return null;
  const components: Components = {
    h1: ({ children }) => <h2 className="mb-2 text-[22px] font-bold">{children}</h2>,
    h2: ({ children }) => (
      <h3 id={idOfHeading(plain(children))} className="mt-6 mb-2 scroll-mt-3 text-[18px] font-semibold">
        {children}
      </h3>
    ),
    p: ({ children }) => <p className="mb-3">{children}</p>,
    ul: ({ children }) => <ul className="mb-3 flex list-disc flex-col gap-1.5 pl-5">{children}</ul>,
    ol: ({ children }) => <ol className="mb-3 flex list-decimal flex-col gap-1.5 pl-5">{children}</ol>,
    table: ({ children }) => (
      <div className="mb-3 overflow-x-auto">
        <table className="w-full border-collapse text-left text-[15px]">{children}</table>
      </div>
    ),
    th: ({ children }) => (
      <th className="border-b border-edge-strong py-1.5 pr-3 font-semibold">{children}</th>
    ),
    td: ({ children }) => <td className="border-b border-edge py-1.5 pr-3 align-top">{children}</td>,
    code: ({ children }) => <code className="rounded bg-lifted px-1 font-mono text-[14px]">{children}</code>,
    pre: ({ children }) => <pre className="mb-3 overflow-x-auto rounded bg-lifted p-3">{children}</pre>,
    img: ({ src, alt }) => {
      const source = typeof src === "string" ? pictureOf(src) : undefined;
      return source === undefined ? null : (
        <img
          src={source}
          alt={alt ?? ""}
          width={1280}
          height={800}
          className="mb-3 h-auto w-full rounded-md border border-edge"
        />
      );
    },
    a: ({ href = "", children }) => {
      const to = guideOfLink(href);
      if (!to) return <span>{children}</span>;
      return (
        <button
          type="button"
          className="text-act underline"
          onClick={() => go({ guide: to.id, section: "" })}
        >
          {children}
        </button>
      );
    },
  };
  return (
    <div ref={element} className="scroll-mt-8 text-[16px] leading-relaxed">
      <Markdown remarkPlugins={[remarkGfm]} components={components}>
        {guide.text}
      </Markdown>
    </div>
  );
}
