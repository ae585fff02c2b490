/**
 * A figure as it is typed into a box: a number, a sum ("1920/3", "(40+8)*2"), a change of what is there ("+10", "-4", "*2", "/2"),
 * or a share of a whole ("50%", "+5%"). A comma may stand for the point.
 * @param now what stands there; what begins with a sign other than minus, or with a space after it, changes it
 * @param whole what a hundred per cent are; undefined where shares mean nothing
 * @returns undefined when it cannot be read
 */
export function readFigure(typed: string, now: number, whole?: number): number | undefined {
  const text = typed
    .trim()
    .replaceAll(",", ".")
    .replaceAll("×", "*")
    .replaceAll("÷", "/")
    .replaceAll("−", "-");
  if (text === "") return undefined;
  const isChange = /^[+*/]/.test(text) || /^-\s/.test(text) || /^-=|^\+=/.test(text);
  const sum = isChange ? `${now}${text.replace("=", "")}` : text;
  const tokens = sum.match(/\d+(?:\.\d*)?|\.\d+|[-+*/()%]/g);
  if (!tokens || tokens.join("") !== sum.replace(/\s+/g, "")) return undefined;
  const value = readSum(tokens, whole);
  return value !== undefined && Number.isFinite(value) ? value : undefined;
}

/** Sums, products and brackets, by recursive descent. */
function readSum(tokens: readonly string[], whole: number | undefined): number | undefined {
  let at = 0;
  const sum = (): number => {
    let value = product();
    while (tokens[at] === "+" || tokens[at] === "-")
      value = tokens[at++] === "+" ? value + product() : value - product();
    return value;
  };
  const product = (): number => {
    let value = factor();
    while (tokens[at] === "*" || tokens[at] === "/")
      value = tokens[at++] === "*" ? value * factor() : value / factor();
    return value;
  };
  const factor = (): number => {
    const token = tokens[at++];
    let value: number;
    if (token === "-") return -factor();
    if (token === "+") return factor();
    if (token === "(") {
      value = sum();
      if (tokens[at++] !== ")") return Number.NaN;
    } else value = token === undefined || !/^[\d.]/.test(token) ? Number.NaN : Number(token);
    if (tokens[at] !== "%") return value;
    at++;
    return whole === undefined ? Number.NaN : (value / 100) * whole;
  };
  const value = sum();
  return at === tokens.length ? value : undefined;
}
