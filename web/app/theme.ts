import { createTheme, type MantineColorsTuple } from '@mantine/core';

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
