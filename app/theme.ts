import type { ThemeDefinition } from 'vuetify'

/*
 * A weatherproof field book: paper, ink, the ground's umber, and the string, which marks only
 * where something should be. Every colour of the application is one of these names.
 */

const shared = { success: '#22302F', warning: '#7A5536' }

const paper: ThemeDefinition = {
  dark: false,
  colors: {
    ...shared,
    background: '#F5F1E6',
    surface: '#F5F1E6',
    'on-background': '#22302F',
    'on-surface': '#22302F',
    primary: '#22302F',
    'on-primary': '#F5F1E6',
    secondary: '#5A6462',
    'on-secondary': '#F5F1E6',
    error: '#9C1F14',
    'on-error': '#FFFFFF',
    string: '#D81B74',
    'string-ink': '#B8105F',
    rule: '#C9C2AE',
    faint: '#ECE6D6',
    ground: '#E4D8BE',
    hatch: '#A9855F',
    umber: '#7A5536',
    grass: '#6E7B4F',
    wood: '#D2A156',
    'new-wood': '#E2BC7E',
    decay: '#6B3F1D',
    cladding: '#E8D7BA',
    rail: '#D3B684',
    joint: '#F5F1E6',
    concrete: '#BDBDB7',
    'old-concrete': '#CFCABD',
    stone: '#A5A292',
    steel: '#7E8B8C',
    topping: '#A88D6B',
    water: '#8FB3BD',
  },
}

const dusk: ThemeDefinition = {
  dark: true,
  colors: {
    ...shared,
    background: '#1B2322',
    surface: '#1B2322',
    'on-background': '#EDE6D3',
    'on-surface': '#EDE6D3',
    primary: '#EDE6D3',
    'on-primary': '#1B2322',
    secondary: '#B4B6A8',
    'on-secondary': '#1B2322',
    error: '#FF9A8A',
    'on-error': '#1B2322',
    string: '#FF6FB1',
    'string-ink': '#FF8FC2',
    rule: '#48524F',
    faint: '#27312F',
    ground: '#33291E',
    hatch: '#7C6448',
    umber: '#B38A62',
    grass: '#7F8D5C',
    wood: '#A67A3A',
    'new-wood': '#BF965A',
    decay: '#3A2110',
    cladding: '#4A4030',
    rail: '#6B5838',
    joint: '#2A2A22',
    concrete: '#7F817C',
    'old-concrete': '#5D5C55',
    stone: '#6B695F',
    steel: '#93A0A1',
    topping: '#5A4733',
    water: '#4F7480',
  },
}

const glare: ThemeDefinition = {
  dark: false,
  colors: {
    ...shared,
    background: '#FFFFFF',
    surface: '#FFFFFF',
    'on-background': '#000000',
    'on-surface': '#000000',
    primary: '#000000',
    'on-primary': '#FFFFFF',
    secondary: '#2B2B2B',
    'on-secondary': '#FFFFFF',
    error: '#8A0000',
    'on-error': '#FFFFFF',
    string: '#C8005F',
    'string-ink': '#A8004F',
    rule: '#000000',
    faint: '#EDEDED',
    ground: '#EDEDED',
    hatch: '#6B6B6B',
    umber: '#000000',
    grass: '#000000',
    wood: '#E0A53A',
    'new-wood': '#F2CF8C',
    decay: '#2A1405',
    cladding: '#F1F1F1',
    rail: '#CFCFCF',
    joint: '#9B9B9B',
    concrete: '#C4C4C4',
    'old-concrete': '#E2E2E2',
    stone: '#8A8A8A',
    steel: '#6B6B6B',
    topping: '#B5B5B5',
    water: '#9CC9DD',
  },
}

export const themes = { paper, dusk, glare }
export type ThemeName = keyof typeof themes
export const THEME_NAMES = Object.keys(themes) as ThemeName[]
