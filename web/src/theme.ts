import { createTheme } from "@mui/material/styles";

/** The look, decided once: paper and neutral greys, hairlines, amber for what is lit, slate for windows. */
export const look = {
  paper: "#f1f1f1",
  card: "#fafafa",
  white: "#ffffff",
  line: "#cfcfcf",
  strong: "#8a8a8a",
  ink: "#1f1f1f",
  soft: "#5c5c5c",
  surround: { grey: "#777777", white: "#ffffff", dark: "#2b2b2b" },
  amber: "#8f4f00",
  amberFill: "#f0a43a",
  slate: "#35566f",
  slateFill: "#6d93b0",
  alarm: "#9c2b1b",
} as const;

const main = () => document.querySelector("main") ?? document.body;

export const theme = createTheme({
  palette: {
    mode: "light",
    background: { default: look.paper, paper: look.card },
    text: { primary: look.ink, secondary: look.soft },
    primary: { main: look.ink, contrastText: look.white },
    secondary: { main: look.amber },
    info: { main: look.slate },
    error: { main: look.alarm },
    divider: look.line,
  },
  shape: { borderRadius: 3 },
  shadows: Array(25).fill("none") as never,
  transitions: { create: () => "none" },
  typography: {
    fontFamily: '"IBM Plex Sans", sans-serif',
    fontSize: 13,
    body1: { fontSize: 13, lineHeight: "18px" },
    body2: { fontSize: 12, lineHeight: "17px" },
    caption: { fontSize: 11, lineHeight: "14px", color: look.soft },
    h1: { fontSize: 20, fontWeight: 600, lineHeight: "26px" },
    h2: { fontSize: 14, fontWeight: 600, lineHeight: "20px" },
    h3: { fontSize: 13, fontWeight: 600, lineHeight: "18px" },
    button: { textTransform: "none", fontSize: 13, lineHeight: "18px", fontWeight: 400 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: "tabular-nums", overflow: "auto" },
        "html, body, #root": { height: "100%" },
        ":focus-visible": { outline: `2px solid ${look.amber}`, outlineOffset: 1 },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: { "&:focus-visible": { outline: `2px solid ${look.amber}`, outlineOffset: -1 } },
      },
    },
    MuiButton: {
      defaultProps: { size: "small", variant: "outlined", color: "inherit", disableElevation: true },
      styleOverrides: {
        root: { minWidth: 0, padding: "3px 10px" },
        outlined: {
          borderColor: look.line,
          backgroundColor: look.white,
          "&[aria-pressed=true]": { backgroundColor: "#dcdcdc", fontWeight: 600 },
        },
        contained: {
          backgroundColor: look.ink,
          color: look.white,
          border: `1px solid ${look.ink}`,
          "&:hover": { backgroundColor: "#3a3a3a" },
        },
      },
    },
    // what opens over a screen belongs to its main part
    MuiModal: { defaultProps: { container: main } },
    MuiIconButton: {
      defaultProps: { size: "small" },
      styleOverrides: { root: { borderRadius: 3, padding: 4 } },
    },
    MuiToggleButton: {
      defaultProps: { size: "small" },
      styleOverrides: {
        root: {
          padding: "3px 9px",
          color: look.ink,
          backgroundColor: look.white,
          borderColor: look.line,
          "&.Mui-selected": { backgroundColor: "#dcdcdc", color: look.ink, fontWeight: 600 },
        },
      },
    },
    MuiPaper: { styleOverrides: { root: { backgroundImage: "none" }, outlined: { borderColor: look.line } } },
    MuiPopover: {
      defaultProps: { container: main },
      styleOverrides: { paper: { border: `1px solid ${look.ink}` } },
    },
    MuiDialog: { styleOverrides: { paper: { border: `1px solid ${look.ink}` } } },
    MuiInputLabel: {
      styleOverrides: { root: { "&:not(.MuiInputLabel-shrink)": { transform: "translate(9px, 5px)" } } },
    },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { backgroundColor: look.white },
        input: { padding: "5px 8px" },
        notchedOutline: { borderColor: look.line },
      },
    },
    MuiTooltip: {
      defaultProps: { enterDelay: 500, describeChild: true },
      styleOverrides: { tooltip: { backgroundColor: look.ink, fontSize: 12, borderRadius: 2 } },
    },
    MuiLinearProgress: {
      styleOverrides: {
        root: { height: 6, backgroundColor: "#dcdcdc" },
        bar: { backgroundColor: look.amberFill },
      },
    },
    MuiMenuItem: { styleOverrides: { root: { fontSize: 13, minHeight: 28, padding: "3px 12px" } } },
    MuiTableCell: { styleOverrides: { root: { padding: "2px 8px", borderColor: look.line, fontSize: 12 } } },
    MuiCheckbox: { defaultProps: { size: "small" }, styleOverrides: { root: { padding: 4 } } },
    MuiAlert: { styleOverrides: { root: { border: `1px solid ${look.line}`, padding: "2px 10px" } } },
  },
});
