import type { Station } from '../core/weather/simulated'

/** Invented stations of the stand-in for a forecast; what is by the hour differs by their seed. */
export const stations: readonly Station[] = [
  { key: 'bank', name: 'On the flood bank', seed: 11, mean: 9.5, yearly: 7, daily: 3.5, wind: 1.1, rain: 1 },
  { key: 'hollow', name: 'In the hollow', seed: 23, mean: 8.5, yearly: 7.5, daily: 5.5, wind: 0.75, rain: 1.1 },
  { key: 'ridge', name: 'On the ridge', seed: 37, mean: 7.5, yearly: 6.5, daily: 3, wind: 1.3, rain: 1.2 },
  { key: 'estuary', name: 'By the estuary', seed: 53, mean: 10.5, yearly: 5.5, daily: 2.5, wind: 1.2, rain: 0.9 },
]
