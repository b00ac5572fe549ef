import { createTheme } from '@mui/material/styles';
import { createElement } from 'react';
import { headingFont, palette, textFont } from '../shared/palette';
import { onPhone, onTouch } from '../shared/screen';
import { Opens } from './opens-sign';

/** The line around what can be filled in or pressed: three times as dark as the paper it stands on. */
const edge = palette.edge;

/** Ticks and choices are drawn here, so that they look the same in every browser. */
const boxes = {
  'input[type=checkbox], input[type=radio]': {
    appearance: 'none',
    width: 20,
    height: 20,
    margin: 0,
    marginRight: 8,
    flexShrink: 0,
    verticalAlign: '-4px',
    border: `1.5px solid ${edge}`,
    borderRadius: 4,
    backgroundColor: palette.white,
    cursor: 'pointer',
    [onTouch]: { width: 24, height: 24 },
  },
  'input[type=radio]': { borderRadius: '50%' },
  'input[type=checkbox]:checked': {
    borderColor: palette.primary,
    background: `${palette.primary} url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 16 16'%3E%3Cpath d='M3 8.5 6.5 12 13 4.5' fill='none' stroke='white' stroke-width='2.4'/%3E%3C/svg%3E") center / 84% no-repeat`,
  },
  'input[type=radio]:checked': { borderColor: palette.primary, borderWidth: 6 },
  'input[type=checkbox]:disabled, input[type=radio]:disabled': { opacity: 0.5, cursor: 'default' },
} as const;

const heading = { fontFamily: headingFont, fontWeight: 650, color: palette.ink };

export const theme = createTheme({
  palette: {
    primary: { main: palette.primary, contrastText: palette.white },
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
        ...boxes,
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
      styleOverrides: {
        root: { paddingInline: 14, minHeight: 36, [onTouch]: { minHeight: 44 } },
        sizeSmall: { minHeight: 30, [onTouch]: { minHeight: 44 } },
        outlined: { borderColor: edge, color: palette.ink },
      },
    },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    // what is asked or shown beside a page comes in at its right edge, so that the page stays in sight; a question stands in the middle
    MuiDialog: {
      styleOverrides: {
        container: { justifyContent: 'flex-end', '.question &': { justifyContent: 'center' } },
        paper: {
          backgroundColor: palette.paper,
          margin: 0,
          height: '100%',
          maxHeight: '100%',
          borderRadius: 0,
          borderLeft: `1px solid ${palette.line}`,
          boxShadow: '0 0 0 1px rgba(29, 43, 48, 0.06), -12px 0 32px rgba(29, 43, 48, 0.12)',
          '.question &': { height: 'auto', borderRadius: 6, margin: 16, border: 0 },
          [onPhone]: { width: '100%', maxWidth: '100%', '.question &': { width: 'calc(100% - 32px)' } },
        },
        paperFullWidth: { [onPhone]: { width: '100%' } },
      },
    },
    MuiBackdrop: { styleOverrides: { root: { backgroundColor: 'rgba(29, 43, 48, 0.28)' }, invisible: { backgroundColor: 'transparent' } } },
    MuiDialogTitle: {
      styleOverrides: {
        root: { fontFamily: headingFont, fontWeight: 650, fontSize: 20, borderBottom: `1px solid ${palette.line}`, padding: '14px 20px' },
      },
    },
    MuiDialogContent: { styleOverrides: { root: { padding: 20, '.MuiDialogTitle-root + &.MuiDialogContent-root': { paddingTop: 18 } } } },
    MuiDialogActions: { styleOverrides: { root: { borderTop: `1px solid ${palette.line}`, padding: '12px 20px' } } },
    // a field: its name above it, one height, a rail at its left while one writes in it
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiInputLabel: {
      defaultProps: { shrink: true },
      styleOverrides: {
        root: {
          position: 'static',
          transform: 'none',
          maxWidth: '100%',
          marginBottom: 4,
          fontSize: 14,
          lineHeight: 1.3,
          color: palette.soft,
          whiteSpace: 'normal',
          '&.Mui-focused': { color: palette.primary },
        },
      },
    },
    MuiOutlinedInput: {
      defaultProps: { notched: false },
      styleOverrides: {
        root: {
          backgroundColor: palette.white,
          minHeight: 38,
          [onTouch]: { minHeight: 44 },
          '& legend': { display: 'none' },
          '& fieldset': { top: 0 },
          '&.Mui-focused fieldset': { borderWidth: '1px 1px 1px 5px !important' },
        },
        notchedOutline: { borderColor: edge },
        input: { padding: '7px 10px', [onPhone]: { fontSize: 16 } },
        multiline: { padding: 0 },
      },
    },
    MuiSelect: { defaultProps: { IconComponent: Opens }, styleOverrides: { icon: { right: 9, color: palette.soft } } },
    MuiAutocomplete: {
      defaultProps: { popupIcon: createElement(Opens) },
      styleOverrides: { popupIndicator: { color: palette.soft, '&:hover': { backgroundColor: 'transparent' } } },
    },
    MuiChip: {
      styleOverrides: {
        root: { borderRadius: 4, backgroundColor: palette.shade, fontSize: 14, height: 28 },
        deleteIcon: { color: palette.soft, '&:hover': { color: palette.ink } },
      },
    },
    MuiFormHelperText: { styleOverrides: { root: { marginLeft: 2, marginTop: 3, fontSize: 13.5 } } },
    MuiMenuItem: { styleOverrides: { root: { minHeight: 34, [onTouch]: { minHeight: 44 } } } },
    MuiTooltip: { styleOverrides: { tooltip: { backgroundColor: palette.ink, fontSize: 13 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: 'none',
          padding: '3px 10px',
          color: palette.ink,
          borderColor: edge,
          minHeight: 36,
          [onTouch]: { minHeight: 44 },
          '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: palette.primary, color: palette.white },
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
