import { memo } from 'react';
import Again from 'lucide-react-native/icons/repeat';
import Anchor from 'lucide-react-native/icons/anchor';
import Arrange from 'lucide-react-native/icons/arrow-down-wide-narrow';
import Bed from 'lucide-react-native/icons/bed-double';
import Bell from 'lucide-react-native/icons/bell';
import Book from 'lucide-react-native/icons/book';
import Days from 'lucide-react-native/icons/calendar-days';
import Camera from 'lucide-react-native/icons/camera';
import Car from 'lucide-react-native/icons/car';
import Close from 'lucide-react-native/icons/x';
import Down from 'lucide-react-native/icons/chevron-down';
import Filter from 'lucide-react-native/icons/list-filter';
import Flame from 'lucide-react-native/icons/flame';
import Grip from 'lucide-react-native/icons/grip-vertical';
import Heart from 'lucide-react-native/icons/heart';
import House from 'lucide-react-native/icons/house';
import Key from 'lucide-react-native/icons/key-round';
import Left from 'lucide-react-native/icons/chevron-left';
import Leaf from 'lucide-react-native/icons/leaf';
import ListIcon from 'lucide-react-native/icons/list';
import Mic from 'lucide-react-native/icons/mic';
import Menu from 'lucide-react-native/icons/ellipsis';
import Package from 'lucide-react-native/icons/package';
import Paperclip from 'lucide-react-native/icons/paperclip';
import Paw from 'lucide-react-native/icons/paw-print';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import Right from 'lucide-react-native/icons/chevron-right';
import Search from 'lucide-react-native/icons/search';
import Sailboat from 'lucide-react-native/icons/sailboat';
import Basket from 'lucide-react-native/icons/shopping-basket';
import Lines from 'lucide-react-native/icons/text-align-start';
import Up from 'lucide-react-native/icons/chevron-up';
import Utensils from 'lucide-react-native/icons/utensils';
import Wrench from 'lucide-react-native/icons/wrench';
import { ink, personInk, type Token } from './tokens.ts';
import type { Colour } from '@kotiva/core';

const ICONS = {
  again: Again,
  anchor: Anchor,
  arrange: Arrange,
  bed: Bed,
  bell: Bell,
  book: Book,
  camera: Camera,
  car: Car,
  days: Days,
  close: Close,
  down: Down,
  filter: Filter,
  flame: Flame,
  grip: Grip,
  heart: Heart,
  house: House,
  key: Key,
  leaf: Leaf,
  left: Left,
  list: ListIcon,
  menu: Menu,
  mic: Mic,
  minus: Minus,
  package: Package,
  paperclip: Paperclip,
  paw: Paw,
  plus: Plus,
  right: Right,
  sailboat: Sailboat,
  search: Search,
  basket: Basket,
  lines: Lines,
  up: Up,
  utensils: Utensils,
  wrench: Wrench,
};
export type IconName = keyof typeof ICONS;

/** A drawing beside a word, never instead of one on a first-level action. */
export const Icon = memo(function Icon({ name, size = 20, tone = 'muted', colour }: { name: IconName; size?: number; tone?: Token; colour?: Colour }) {
  const Drawn = ICONS[name];
  return <Drawn size={size} strokeWidth={1.75} color={colour ? personInk(colour) : ink(tone)} aria-hidden />;
});
