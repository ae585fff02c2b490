/** A file that is started as a process of its own. */
export function processFile(source: string): string {
  return import.meta.url.endsWith(".ts")
    ? new URL(`../${source}.ts`, import.meta.url).href
    : new URL(`./${source.split("/").at(-1)}.js`, import.meta.url).href;
}

/** A thread's file: beside the bundle, or the source, for which the thread needs the TypeScript loader first. */
export function workerFile(source: string): URL {
  if (!import.meta.url.endsWith(".ts")) return new URL(`./${source.split("/").at(-1)}.js`, import.meta.url);
  const loader = import.meta.resolve("tsx/esm/api");
  const file = new URL(`../${source}.ts`, import.meta.url).href;
  const start = `import { register } from ${JSON.stringify(loader)}; register(); await import(${JSON.stringify(file)});`;
  return new URL(`data:text/javascript,${encodeURIComponent(start)}`);
}
