import { defineConfig } from "vite";

/** The web's own logic in one script, for tests alone; never shipped. */
export default defineConfig({
  build: {
    lib: { entry: "src/modules.ts", name: "illuminar", formats: ["iife"], fileName: () => "modules.js" },
    outDir: "target/modules",
    emptyOutDir: true,
    minify: false,
  },
});
