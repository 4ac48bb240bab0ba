import {
  ActionIcon,
  Alert,
  Anchor,
  Badge,
  Button,
  Card,
  Checkbox,
  colorsTuple,
  createTheme,
  defaultVariantColorsResolver,
  Input,
  InputWrapper,
  localStorageColorSchemeManager,
  Progress,
  SegmentedControl,
  Table,
  Text,
  type CSSVariablesResolver,
  type VariantColorsResolver,
} from '@mantine/core';
import c from './theme.module.css';

const tones = ['rim', 'tomato', 'saffron', 'leaf', 'plum'] as const;
const isTone = (color: string | undefined): color is (typeof tones)[number] => tones.some((t) => t === color);

/** How a part is filled, outlined or tinted: once for buttons, icons, badges and notes. */
const variants: VariantColorsResolver = (input) => {
  const tone = isTone(input.color) ? input.color : 'rim';
  const enamel = tone === 'rim';
  switch (input.variant) {
    case 'filled':
      return {
        background: enamel ? 'var(--btn)' : `var(--${tone})`,
        hover: enamel ? 'var(--btn-hover)' : `var(--${tone})`,
        color: enamel ? 'var(--on-btn)' : 'var(--card)',
        border: `1.5px solid ${enamel ? 'var(--btn)' : `var(--${tone})`}`,
      };
    case 'outline':
    case 'chip':
      return {
        background: 'var(--card)',
        hover: 'var(--pale)',
        color: `var(--${tone})`,
        border: `1.5px solid var(--${tone})`,
        hoverColor: `var(--${tone})`,
      };
    case 'light':
      return {
        background: enamel ? 'var(--frost)' : `var(--${tone}-pale)`,
        hover: enamel ? 'var(--frost)' : `var(--${tone}-pale)`,
        color: `var(--${tone})`,
        border: '0',
      };
    default:
      return defaultVariantColorsResolver(input);
  }
};

/** Heights that grow to a thumb's on touch (palette.css). */
const heights: Readonly<Record<string, string>> = { sm: 'var(--hit-small)', lg: 'var(--hit-large)' };
const sizes: Readonly<Record<string, { fz: string; px: string }>> = { sm: { fz: '14px', px: '12px' }, lg: { fz: '19px', px: '24px' } };

/** Fields larger or smaller than the usual one: a page's chief field, a figure read at arm's length, a choice in a row. */
const fields: Readonly<Record<string, Record<'--input-height' | '--input-fz', string>>> = {
  xs: { '--input-height': 'var(--hit-small)', '--input-fz': '15px' },
  lg: { '--input-height': '52px', '--input-fz': '20px' },
  xl: { '--input-height': '52px', '--input-fz': '24px' },
};

/** Mantine in the hand of the house: enamel and frost. Colours stand in palette.css; a page sets neither colours nor sizes. */
export const theme = createTheme({
  colors: Object.fromEntries(tones.map((t) => [t, colorsTuple(`var(--${t})`)])),
  primaryColor: 'rim',
  fontFamily: 'var(--text)',
  fontFamilyMonospace: 'var(--text)',
  headings: {
    fontFamily: 'var(--display)',
    fontWeight: '650',
    sizes: {
      h1: { fontSize: '32px', lineHeight: '1.15' },
      h2: { fontSize: '20px', lineHeight: '1.15' },
      h3: { fontSize: '17px', lineHeight: '1.15' },
    },
  },
  defaultRadius: 8,
  // a phone, up to 720 px
  breakpoints: { sm: '45.0625em' },
  black: '#1B2230',
  white: '#FFFFFF',
  cursorType: 'pointer',
  focusRing: 'never',
  fontSizes: { xs: '14px', sm: '15px', md: '16px', lg: '18px', xl: '20px' },
  lineHeights: { xs: '1.3', sm: '1.35', md: '1.4', lg: '1.4', xl: '1.3' },
  variantColorResolver: variants,
  components: {
    AppShell: { classNames: { main: c.main } },
    Skeleton: { classNames: { root: c.skeleton } },
    Button: Button.extend({
      defaultProps: { variant: 'filled' },
      classNames: { root: c.button, label: c.buttonLabel },
      vars: (_theme, { size, variant }) => ({
        root: {
          '--button-height': variant === 'chip' ? 'var(--hit-chip)' : (heights[size ?? ''] ?? 'var(--hit)'),
          '--button-fz': sizes[size ?? '']?.fz ?? '15px',
          '--button-padding-x': variant === 'chip' ? '12px' : (sizes[size ?? '']?.px ?? '16px'),
        },
      }),
    }),
    Anchor: Anchor.extend({ defaultProps: { underline: 'always' }, classNames: { root: c.anchor } }),
    ActionIcon: ActionIcon.extend({
      defaultProps: { variant: 'outline' },
      classNames: { root: c.icon },
      vars: () => ({ root: { '--ai-size': 'var(--hit-icon)' } }),
    }),
    Input: Input.extend({
      classNames: { input: c.input },
      vars: (_theme, { size }) => ({ wrapper: fields[size ?? ''] ?? { '--input-height': 'var(--hit)', '--input-fz': '16px' } }),
    }),
    InputWrapper: InputWrapper.extend({
      classNames: { label: c.label },
      vars: () => ({ label: {}, error: {}, description: {}, success: {} }),
      defaultProps: { inputWrapperOrder: ['label', 'input', 'description', 'error'] },
    }),
    Card: Card.extend({
      defaultProps: { component: 'section', withBorder: true, radius: 10, padding: '14px 16px' },
      classNames: { root: c.card },
    }),
    Alert: Alert.extend({ defaultProps: { variant: 'light', p: '10px 14px' }, classNames: { root: c.alert, message: c.alertBody } }),
    Badge: Badge.extend({
      defaultProps: { variant: 'light', radius: 6 },
      classNames: { root: c.badge },
      vars: () => ({ root: { '--badge-height': '22px', '--badge-fz': '14px', '--badge-padding-x': '8px' } }),
    }),
    Progress: Progress.extend({ defaultProps: { size: 9, radius: 5 }, classNames: { root: c.progress } }),
    Table: Table.extend({
      defaultProps: { verticalSpacing: 8, horizontalSpacing: 8, borderColor: 'var(--line)' },
      classNames: { table: c.table },
    }),
    Checkbox: Checkbox.extend({
      defaultProps: { radius: 8 },
      classNames: { input: c.checkbox },
      vars: () => ({ root: { '--checkbox-size': 'var(--hit-tick)' } }),
    }),
    SegmentedControl: SegmentedControl.extend({
      defaultProps: { radius: 9, transitionDuration: 0, withItemsBorders: false, color: 'rim' },
      classNames: { root: c.segments, label: c.segment, indicator: c.segmentPill, control: c.segmentCell },
      vars: () => ({ root: { '--sc-padding': '7px 12px' } }),
    }),
    // named, not brought in: it stands in pages that come later
    Pagination: { classNames: { control: c.page }, vars: () => ({ root: { '--pagination-control-size': 'var(--hit-small)' } }) },
    Combobox: { classNames: { option: c.option, options: c.options } },
    Text: Text.extend({ classNames: { root: c.text } }),
    Title: { classNames: { root: c.title } },
    Modal: {
      defaultProps: { radius: 10, padding: 16 },
      classNames: { title: c.sheetTitle, inner: c.modalInner, content: c.modal, close: c.close },
    },
    Drawer: { defaultProps: { padding: 16 }, classNames: { title: c.sheetTitle, content: c.drawer, close: c.close } },
    RadioCard: { classNames: { card: c.radioCard } },
    Notifications: { classNames: { root: c.notices } },
    Notification: { classNames: { root: c.notice, body: c.noticeBody, description: c.noticeText, closeButton: c.noticeClose } },
    Tabs: { classNames: { tab: c.tab } },
    Kbd: { classNames: { root: c.kbd } },
  },
});

/** Mantine's own parts take their colours from the palette, so that both themes are written down once. */
const fromPalette = {
  '--mantine-color-body': 'var(--card)',
  '--mantine-color-text': 'var(--ink)',
  '--mantine-color-bright': 'var(--ink)',
  '--mantine-color-dimmed': 'var(--quiet)',
  '--mantine-color-placeholder': 'var(--quiet)',
  '--mantine-color-anchor': 'var(--rim)',
  '--mantine-color-default': 'var(--card)',
  '--mantine-color-default-hover': 'var(--pale)',
  '--mantine-color-default-color': 'var(--ink)',
  '--mantine-color-default-border': 'var(--field-line)',
  '--mantine-color-error': 'var(--tomato)',
  '--mantine-color-disabled': 'var(--off)',
  '--mantine-color-disabled-color': 'var(--off-ink)',
  '--mantine-color-disabled-border': 'var(--off-line)',
  '--mantine-color-success': 'var(--leaf)',
  '--mantine-primary-color-filled': 'var(--rim)',
  '--mantine-primary-color-filled-hover': 'var(--rim-hover)',
  '--mantine-primary-color-light': 'var(--frost)',
  '--mantine-primary-color-contrast': 'var(--on-rim)',
};
/** The greys that parts draw borders and stripes from. */
const greys = (name: 'gray' | 'dark', steps: readonly string[]) =>
  Object.fromEntries(steps.map((step, i) => [`--mantine-color-${name}-${i}`, `var(--${step})`]));
export const colours: CSSVariablesResolver = () => ({
  variables: {},
  light: { ...fromPalette, ...greys('gray', ['pale', 'pale', 'line', 'line', 'field-line', 'quiet', 'quiet', 'ink', 'ink', 'ink']) },
  dark: { ...fromPalette, ...greys('dark', ['ink', 'ink', 'quiet', 'quiet', 'field-line', 'pale', 'card', 'card', 'glaze', 'glaze']) },
});

/** Light, dark or as the device says; chosen for each device. */
export const schemeManager = localStorageColorSchemeManager({ key: 'tambo.theme' });
