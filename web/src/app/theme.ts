import { createTheme } from '@mui/material/styles';
import { headingFont, palette, textFont } from '../shared/palette';

const heading = { fontFamily: headingFont, fontWeight: 650, color: palette.ink };

export const theme = createTheme({
  palette: {
    primary: { main: palette.primary, contrastText: '#FFFFFF' },
    error: { main: palette.stop },
    warning: { main: palette.caution },
    background: { default: palette.paper, paper: palette.paper },
    text: { primary: palette.ink, secondary: palette.soft },
    divider: palette.line,
  },
  shape: { borderRadius: 6 },
  typography: {
    fontFamily: textFont,
    fontSize: 14,
    h1: { ...heading, fontSize: 21, lineHeight: 1.2 },
    h2: { ...heading, fontSize: 17, lineHeight: 1.3 },
    h3: { ...heading, fontSize: 15, lineHeight: 1.3 },
    body1: { fontSize: 15, lineHeight: 1.45 },
    body2: { fontSize: 14, lineHeight: 1.4 },
    caption: { fontSize: 13, lineHeight: 1.35, color: palette.soft },
    button: { fontFamily: textFont, textTransform: 'none', fontWeight: 700, fontSize: 14.5 },
  },
  transitions: { create: () => 'none' },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        html: { height: '100%' },
        body: { height: '100%', fontVariantNumeric: 'tabular-nums' },
        '#root': { height: '100%' },
        '*:focus-visible': { outline: `3px solid ${palette.primary}`, outlineOffset: '1px' },
        a: { color: palette.primary },
        '@media (prefers-reduced-motion: reduce)': { '*': { animation: 'none !important', transition: 'none !important' } },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      // MUI takes the outline away from everything that can be pressed
      styleOverrides: { root: { '&.Mui-focusVisible': { outline: `3px solid ${palette.primary}`, outlineOffset: '2px' } } },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { paddingInline: 14, minHeight: 34 }, outlined: { borderColor: '#8A8371', color: palette.ink } },
    },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: { styleOverrides: { paper: { backgroundColor: palette.paper } } },
    MuiDialogTitle: { styleOverrides: { root: { fontFamily: headingFont, fontWeight: 650, fontSize: 20 } } },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { backgroundColor: '#FFFFFF' },
        notchedOutline: { borderColor: '#8A8371' },
        input: { padding: '7px 10px' },
        multiline: { padding: 0 },
      },
    },
    MuiFormHelperText: { styleOverrides: { root: { marginLeft: 2, fontSize: 13 } } },
    MuiInputLabel: { styleOverrides: { root: { color: palette.soft } } },
    MuiTooltip: { styleOverrides: { tooltip: { backgroundColor: palette.ink, fontSize: 13 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: 'none',
          padding: '3px 10px',
          color: palette.ink,
          borderColor: '#8A8371',
          '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: palette.primary, color: '#FFFFFF' },
        },
      },
    },
    MuiTableCell: {
      styleOverrides: {
        root: { borderColor: palette.line, padding: '6px 10px' },
        head: { color: palette.soft, fontWeight: 400, fontSize: 13 },
      },
    },
  },
});
