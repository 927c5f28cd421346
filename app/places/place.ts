import type { Component } from 'vue'

/** One place of the work. Adding one is a folder, and one line in the list of places. */
export interface Place {
  /** Stands in the address. */
  key: string
  name: string
  /** The key that opens it. */
  digit: string
  says: string
  /**
   * What the drawing beside it shows: the post as it stands, the line with its bays measured out, the post with the
   * repair in hand, the same between its strings with their gaps; or a drawing of the place's own. A place with a page
   * of its own draws there, with the repair.
   */
  draws: 'as-it-stands' | 'building' | 'repaired' | 'strings' | 'itself' | 'own-page'
  /** Of a place that draws itself. */
  drawing?: () => Promise<{ default: Component }>
  /** What is wet is seen to here: clocks that call lead to it. */
  seesToWet?: true
  /** The hole of the repair in hand can be pulled on in the drawing. */
  hasGrips?: true
  panel: () => Promise<{ default: Component }>
}
