/** How Chromium is started for measuring: quiet, in software, as on a machine without a GPU. */
export const BROWSER_ARGS =
  "--headless --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync".split(
    " ",
  );
