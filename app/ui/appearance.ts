/** How this browser shows the desk: kept by it, and put on before the first picture. */
export const SCHEMES = ["dark", "light"] as const;
export type Scheme = (typeof SCHEMES)[number];
/** Of the words in the script. */
export const SCRIPT_SCALES = [1, 1.25, 1.5] as const;
export type ScriptScale = (typeof SCRIPT_SCALES)[number];

const SCHEME_KEY = "vesko-scheme";
const SCALE_KEY = "vesko-script-scale";

export function readAppearance(): { readonly scheme: Scheme; readonly scale: ScriptScale } {
  const scheme = localStorage.getItem(SCHEME_KEY) === "light" ? "light" : "dark";
  const said = Number(localStorage.getItem(SCALE_KEY));
  return { scheme, scale: SCRIPT_SCALES.find((each) => each === said) ?? 1 };
}

export function setScheme(scheme: Scheme): void {
  localStorage.setItem(SCHEME_KEY, scheme);
  document.documentElement.dataset.scheme = scheme;
}

export function setScriptScale(scale: ScriptScale): void {
  localStorage.setItem(SCALE_KEY, `${scale}`);
  document.documentElement.style.setProperty("--script-scale", `${scale}`);
}

/** Runs in the head of the page, before anything is painted; outputs have no scheme. */
export const APPEARANCE_SCRIPT = `try {
  if (!/^\\/out\\//.test(location.pathname)) {
    document.documentElement.dataset.scheme = localStorage.getItem("${SCHEME_KEY}") === "light" ? "light" : "dark";
    document.documentElement.style.setProperty("--script-scale", localStorage.getItem("${SCALE_KEY}") || "1");
  }
} catch {}`;
