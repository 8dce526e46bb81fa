import "@fontsource/ibm-plex-sans/400.css";
import "@fontsource/ibm-plex-sans/500.css";
import "@fontsource/ibm-plex-sans/600.css";
import { CssBaseline, ThemeProvider } from "@mui/material";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { createRoot } from "react-dom/client";
import { App } from "./App";
import { theme } from "./theme";

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } });

const root = document.getElementById("root");
if (!root) throw new Error("There is no place for the interface on this page.");
createRoot(root).render(
  <ThemeProvider theme={theme}>
    <CssBaseline />
    <QueryClientProvider client={queries}>
      <App />
    </QueryClientProvider>
  </ThemeProvider>,
);
