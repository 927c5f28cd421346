import { number, type Draw, type Values } from './drawnValues'
import { boardsOver, fenceStretch, gateOpening, leaningPost, postsAlong, rakingProp, sagging } from './fencePictures'
import { byCode, dug, inGround } from './groundPictures'
import { crossSection, cutPost, sleeved, squareCorner } from './partPictures'

/**
 * Small drawings of calculations, by their name: of those that have something to see. Every calculation has the curve
 * of its answer besides.
 */
export const PICTURES: Readonly<Record<string, Draw>> = {
  'wind-force': fenceStretch,
  'wind-coefficient': fenceStretch,
  'code-depth': byCode,
  'code-force': byCode,
  'post-in-ground': inGround,
  'moment-rotation': inGround,
  'pull-test': inGround,
  'find-hole': (given, { best }) =>
    best
      ? dug(
          {
            post: given.post,
            hole: {
              diameter: number(best as Values, 'diameter'),
              depth: number(best as Values, 'depth'),
              stoneBed: number(given, 'stoneBed', 0.1),
              fillTop: number(given, 'fillTop', 0.075),
            },
          },
          {},
        )
      : { solids: [] },
  section: crossSection,
  'hole-volume': dug,
  bags: dug,
  'sleeve-play': sleeved,
  lean: leaningPost,
  'photo-lean': leaningPost,
  'string-sag': sagging,
  beam: sagging,
  spacing: postsAlong,
  'panel-spacing': postsAlong,
  'gate-opening': gateOpening,
  prop: rakingProp,
  'prop-force': rakingProp,
  boards: boardsOver,
  diagonal: squareCorner,
  'cut-length': cutPost,
}
