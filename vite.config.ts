import { reactRouter } from "@react-router/dev/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [tailwindcss(), reactRouter()],
  build: { target: "es2022", sourcemap: false, assetsInlineLimit: 0 },
  worker: { format: "es" },
  // Thousands of small modules would be opened one by one at every start of the server.
  ssr: {
    noExternal: [
      /^(?!react$|react-dom|react-router|@react-router\/|react-moveable|react-selecto|react-datasheet-grid|@scena\/|unzipper|exceljs|pdfjs-dist|@napi-rs|better-sqlite3|harfbuzzjs|wawoff2|mediabunny)/,
    ],
  },
  environments: {
    ssr: {
      build: { rolldownOptions: { output: { minify: { compress: true, mangle: false, codegen: true } } } },
    },
  },
  optimizeDeps: {
    // A cold cache would otherwise answer 504 and the page would never come alive.
    include: [
      "react",
      "react-dom",
      "react-dom/client",
      "react-router",
      "radix-ui",
      "lucide-react",
      "zod",
      "bidi-js",
      "linebreak",
      "harfbuzzjs",
      "cmdk",
      "fflate",
      "p-retry",
      "papaparse",
      "qrcode-generator",
      "@dnd-kit/core",
      "@dnd-kit/sortable",
      "@dnd-kit/utilities",
    ],
  },
});
