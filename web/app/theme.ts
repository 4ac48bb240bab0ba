import { createTheme, localStorageColorSchemeManager, type CSSVariablesResolver, type MantineColorsTuple } from '@mantine/core';

/** Ten steps of the rim blue around the enamel's own shade. */
const rim: MantineColorsTuple = [
  '#EEF4F8',
  '#DCE9F2',
  '#BCCFE6',
  '#93ADD3',
  '#6C8BBE',
  '#4A6CA6',
  '#33558F',
  '#1F3A6E',
  '#1A315D',
  '#14264A',
];

/** Mantine in the hand of the house: enamel and frost. The rest stands in styles.css as variables. */
export const theme = createTheme({
  colors: { rim },
  primaryColor: 'rim',
  primaryShade: 7,
  fontFamily: "'Source Sans 3', sans-serif",
  fontFamilyMonospace: "'Source Sans 3', sans-serif",
  headings: { fontFamily: "'Bricolage Grotesque Variable', sans-serif", fontWeight: '650' },
  defaultRadius: 8,
  black: '#1B2230',
  white: '#FFFFFF',
  fontSizes: { xs: '14px', sm: '15px', md: '16px', lg: '18px', xl: '20px' },
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
};
export const colours: CSSVariablesResolver = () => ({ variables: {}, light: fromPalette, dark: fromPalette });

/** Light, dark or as the device says; chosen for each device. */
export const schemeManager = localStorageColorSchemeManager({ key: 'tambo.theme' });
