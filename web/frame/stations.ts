import {
  IconAdjustmentsHorizontal,
  IconBasket,
  IconBook2,
  IconCalendarEvent,
  IconFridge,
  IconHistory,
  IconHome,
  IconPackage,
  IconSoup,
  IconToolsKitchen2,
} from '@tabler/icons-react';

/** The road's stations in working order; digits 1 to 8 go to them. */
export const stations = [
  { to: '/', name: 'Today', Icon: IconHome, thumb: true },
  { to: '/recipes', name: 'Recipes', Icon: IconBook2, thumb: false },
  { to: '/plan', name: 'Plan', Icon: IconCalendarEvent, thumb: false },
  { to: '/shop', name: 'Shop', Icon: IconBasket, thumb: true },
  { to: '/cook', name: 'Cook', Icon: IconSoup, thumb: true },
  { to: '/pack', name: 'Pack', Icon: IconPackage, thumb: false },
  { to: '/store', name: 'Store', Icon: IconFridge, thumb: true },
  { to: '/eat', name: 'Eat', Icon: IconToolsKitchen2, thumb: true },
] as const;

/** What stands beside the road. */
export const besides = [
  { to: '/kitchen', name: 'Kitchen', Icon: IconAdjustmentsHorizontal },
  { to: '/history', name: 'History', Icon: IconHistory },
] as const;
