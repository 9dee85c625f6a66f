import { definePreset } from '@primeuix/themes';
import base from '@primeuix/themes/aura/base';
import button from '@primeuix/themes/aura/button';
import checkbox from '@primeuix/themes/aura/checkbox';
import datatable from '@primeuix/themes/aura/datatable';
import datepicker from '@primeuix/themes/aura/datepicker';
import dialog from '@primeuix/themes/aura/dialog';
import drawer from '@primeuix/themes/aura/drawer';
import iconfield from '@primeuix/themes/aura/iconfield';
import inputnumber from '@primeuix/themes/aura/inputnumber';
import inputtext from '@primeuix/themes/aura/inputtext';
import menu from '@primeuix/themes/aura/menu';
import progressbar from '@primeuix/themes/aura/progressbar';
import select from '@primeuix/themes/aura/select';
import selectbutton from '@primeuix/themes/aura/selectbutton';
import slider from '@primeuix/themes/aura/slider';
import tabs from '@primeuix/themes/aura/tabs';
import tag from '@primeuix/themes/aura/tag';
import textarea from '@primeuix/themes/aura/textarea';
import toast from '@primeuix/themes/aura/toast';
import togglebutton from '@primeuix/themes/aura/togglebutton';
import toggleswitch from '@primeuix/themes/aura/toggleswitch';
import virtualscroller from '@primeuix/themes/aura/virtualscroller';

/** Verdigris, as copper turns by the sea: the one accent of the house. */
const verdigris = {
  50: '#eef7f5',
  100: '#d3ebe6',
  200: '#a9d8d0',
  300: '#79c0b5',
  400: '#459f94',
  500: '#1f7f77',
  600: '#0d5f5a',
  700: '#0b4f4b',
  800: '#0a3f3c',
  900: '#08302e',
  950: '#051f1e',
};

/** Chalk and slate: warm light surfaces, blue-green dark ones. */
const chalk = {
  0: '#fffdf8',
  50: '#f5f3ec',
  100: '#ebe7db',
  200: '#dcd6c6',
  300: '#c6bfac',
  400: '#9b9583',
  500: '#6d6a5e',
  600: '#54554d',
  700: '#3d4240',
  800: '#283031',
  900: '#1b2526',
  950: '#10181a',
};

const slate = {
  0: '#ffffff',
  50: '#eef2ef',
  100: '#dbe2de',
  200: '#bcc8c4',
  300: '#a9b6b3',
  400: '#82918e',
  500: '#647370',
  600: '#4b5a57',
  700: '#35423f',
  800: '#222d2d',
  900: '#1a2325',
  950: '#12191b',
};

/** Rust: what cannot be taken back. */
const rust = '#9b2418';
const danger = (background: string, color: string, hover: string) => ({
  root: {
    danger: {
      background,
      borderColor: background,
      color,
      hoverBackground: hover,
      hoverBorderColor: hover,
      hoverColor: color,
      activeBackground: hover,
      activeBorderColor: hover,
      activeColor: color,
    },
  },
  text: { danger: { color: background } },
});

/** A second action: an outline in ink, so that it does not look switched off. */
const quiet = {
  secondary: {
    color: 'var(--ink)',
    borderColor: 'var(--line)',
    hoverBackground: 'var(--sunk)',
    activeBackground: 'var(--sunk)',
  },
};

/** One of several answers: an outline, and filled with ink green once it is chosen. */
const answer = {
  background: 'var(--card)',
  hoverBackground: 'var(--card)',
  checkedBackground: 'var(--pick)',
  borderColor: 'var(--line)',
  checkedBorderColor: 'var(--pick)',
  color: 'var(--ink)',
  hoverColor: 'var(--ink)',
  checkedColor: 'var(--on-pick)',
};
const chosen = { checkedBackground: 'transparent' };

/** PrimeNG's structure in Esmero's colours, corners and sizes; only the parts that are used. */
export const esmeroPreset = definePreset(
  {
    ...base,
    components: {
      button,
      checkbox,
      datatable,
      datepicker,
      dialog,
      drawer,
      iconfield,
      inputnumber,
      inputtext,
      menu,
      progressbar,
      select,
      selectbutton,
      slider,
      tabs,
      tag,
      textarea,
      toast,
      togglebutton,
      toggleswitch,
      virtualscroller,
    },
  },
  {
    components: {
      button: {
        colorScheme: {
          light: { ...danger(rust, '#ffffff', '#7d1d13'), outlined: quiet },
          dark: { ...danger('#ff9d8e', '#2a0d09', '#ffb4a8'), outlined: quiet },
        },
      },
      datatable: {
        root: { borderColor: 'var(--line)' },
        header: { background: 'transparent' },
        headerCell: {
          background: 'transparent',
          hoverBackground: 'var(--sunk)',
          selectedBackground: 'transparent',
          color: 'var(--ink-soft)',
          selectedColor: 'var(--ink)',
        },
        row: { background: 'transparent', hoverBackground: 'var(--sunk)' },
        bodyCell: { padding: '0.5rem 0.75rem' },
      },
      tabs: { tablist: { background: 'transparent' }, tabpanel: { background: 'transparent', padding: '0' } },
      togglebutton: {
        colorScheme: { light: { root: answer, content: chosen }, dark: { root: answer, content: chosen } },
      },
    },
    primitive: { borderRadius: { xs: '4px', sm: '6px', md: '10px', lg: '12px', xl: '16px' } },
    semantic: {
      primary: verdigris,
      focusRing: { width: '3px', style: 'solid', color: '{primary.color}', offset: '2px' },
      formField: { paddingX: '0.7rem', paddingY: '0.5rem' },
      colorScheme: {
        light: {
          surface: chalk,
          primary: {
            color: '{primary.600}',
            contrastColor: '#ffffff',
            hoverColor: '{primary.700}',
            activeColor: '{primary.800}',
          },
          text: { color: '#1b2526', mutedColor: '#4a5553' },
          formField: { borderColor: '{surface.400}', placeholderColor: '#5d6460' },
        },
        dark: {
          surface: slate,
          primary: {
            color: '{primary.300}',
            contrastColor: '#051f1e',
            hoverColor: '{primary.200}',
            activeColor: '{primary.100}',
          },
          text: { color: '#e9ece6', mutedColor: '#b4c0bc' },
          formField: { borderColor: '{surface.500}' },
        },
      },
    },
  },
);
