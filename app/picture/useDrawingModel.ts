import { computed, watchEffect } from 'vue'
import { useDrawing } from './useDrawing'
import type { Ref } from 'vue'
import { useJobView } from '~/job/openJob'
import { useSetOut } from '~/job/useSetOut'
import type { ResolvedLine } from '~~/core/resolve/resolve'
import type { Metres } from '~~/core/units/types'
import { bayDimensions, heightOfBays } from '~/picture/model/bayDimensions'
import { describeSection } from '~/picture/model/describe'
import type { Measure } from '~~/core/repair/solids'
import type { Note } from '~/picture/model/geometry'
import { groundLine, riseOver, stringAt, stringKnots, stringLine } from '~/picture/model/groundModel'
import { boxOf, dimensionLabel, nameLabel, noteLabel, placeLabels } from '~/picture/model/labels'
import { gripsOnScreen } from '~/picture/model/holeGrips'
import { gripsOf } from '~~/core/hole/pull'
import { layerLines, layerNotes, metSolids, thinCover } from '~/picture/model/holeMarks'
import { MET_WORDS } from '~/job/metWords'
import { row } from '~~/core/tables/tables'
import { lineModel } from '~/picture/model/lineModel'
import { markModel } from '~/picture/model/markModel'
import { stringLabels } from '~/picture/model/stringLabels'
import { pullModel } from '~/picture/model/pullModel'
import { notesOf, sectionModel } from '~/picture/model/sectionModel'
import { fitViewport, px } from '~/picture/model/viewport'
import { usePreferencesStore } from '~/session/preferences'
import type { Snapped } from '~~/core/setout/snap'

/** A narrow drawing has no room for words beside the post; they stand in its text equivalent. */
const NARROW = 480
const FAR = 1e6
/** Half of what is seen of a grip, px. */
const GRIP_SEEN = 18

interface Surroundings {
  width: Ref<number>
  height: Ref<number>
  /** How far the drawing is held aside, px. */
  pan: Ref<number>
  /** A post that is being moved. */
  held: Ref<({ id: string } & Snapped) | undefined>
  /** Whether the line is being built: bays are measured out instead of the post. */
  building: () => boolean
  /** Whether the hole has grips to pull on. */
  pulling: () => boolean
  /** Whether both strings are drawn with the gaps to be read at them. */
  strung: () => boolean
}

/** All that the focus drawing shows, as plain models in metres and pixels. */
export function useDrawingModel({ width, height, pan, held, building, pulling, strung }: Surroundings) {
  const view = useJobView()
  const preferences = usePreferencesStore()
  const { zoom, scale } = useDrawing()

  /** Room for the hole as it was taken hold of: under a pull the scale stands still. Between strings the fence counts. */
  const roomFor = computed<Metres | undefined>((before) =>
    view.isTrying.value ? before : strung() ? undefined : view.drawnRepair.value?.method.hole?.depth,
  )
  const viewport = computed(() =>
    fitViewport(width.value, height.value, view.keptLine.value?.height ?? 1.8, {
      zoom: zoom.value,
      hole: roomFor.value,
    }),
  )
  watchEffect(() => (scale.value = viewport.value.pixelsPerMetre))

  // The line as it is kept, the post as it is tried: a pull on a hole draws no fence anew.
  const line = computed(() => view.keptLine.value && withHeldPost(view.keptLine.value, held.value))
  const post = computed(() =>
    held.value ? (line.value?.posts.find(({ id }) => id === view.postId.value) ?? view.post.value) : view.post.value,
  )
  const station = computed(() => post.value?.station ?? 0)
  /** Half a screen more on each side, so that the glide shows no empty end; it follows in half screens. */
  const reach = computed(() => width.value / scale.value)
  const halves = computed(() => Math.round(pan.value / (width.value / 2 || 1)))
  const from = computed(() => station.value - (halves.value * reach.value) / 2 - reach.value)
  const to = computed(() => from.value + 2 * reach.value)
  const shift = computed(() => px(width.value / 2 - station.value * scale.value + pan.value))

  const chosen = computed(() => post.value?.id ?? '')
  const drawn = computed(() => line.value && post.value && { line: line.value, post: post.value })
  const isRepaired = computed(() => view.drawnRepair.value !== undefined)
  const fence = computed(() =>
    line.value && chosen.value
      ? lineModel(line.value, chosen.value, from.value, to.value, isRepaired.value)
      : undefined,
  )
  const chosenInFence = computed(() => ({ id: chosen.value, station: station.value }))
  const section = computed(() => {
    if (!drawn.value) return undefined
    const found = sectionModel(drawn.value.line, drawn.value.post, view.drawnRepair.value)
    const method = view.drawnRepair.value?.method
    const met = metSolids(drawn.value.post, method?.hole, (kind) => MET_WORDS.kind[kind])
    const thin = method ? thinCover(method, drawn.value.post) : []
    return {
      ...found,
      shapes: [...found.shapes, ...met],
      dimensions: [...found.dimensions, ...thin],
      notes: [...found.notes, ...notesOf(met)],
    }
  })
  /** Where the soil changes, as the hole showed it. */
  const layers = computed(() => (drawn.value ? layerLines(drawn.value.post) : []))
  /** What a leaf pulls at the post. */
  const pull = computed(
    () =>
      drawn.value &&
      view.postPlan.value &&
      pullModel(drawn.value.line, drawn.value.post, view.postPlan.value, preferences.measures.force),
  )
  const ground = computed(() => (line.value ? groundLine(line.value, chosen.value, from.value, to.value) : []))
  const string = computed(() => (line.value ? stringLine(line.value, chosen.value, from.value, to.value) : []))
  const setOut = useSetOut()
  /** What is held to at the posts in sight, where the strings are what it is about. */
  const strings = computed(() => {
    // One post by itself has no line that a string could show.
    if (!strung() || !line.value || line.value.posts.length < 2 || !setOut.line.value) return []
    const rise = riseOver(line.value, chosen.value)
    const rises = new Map(line.value.posts.map((each) => [each.id, rise(each)]))
    return setOut.line.value.posts
      .filter((each) => each.station >= from.value && each.station <= to.value)
      .map((each) => ({ ...each, rise: rises.get(each.post) ?? 0 }))
  })
  const lowString = computed(() =>
    strung() && line.value && line.value.posts.length > 1
      ? stringLine({ ...line.value, string: line.value.lowString }, chosen.value, from.value, to.value)
      : [],
  )
  const knots = computed(() => (line.value ? stringKnots(line.value, chosen.value, from.value, to.value) : []))
  /** Where its name stands over it. */
  const stringAtEdge = computed(() =>
    line.value ? stringAt(line.value, chosen.value, station.value + (width.value / 2 - pan.value) / scale.value) : 0,
  )
  const marks = computed(() => {
    if (!line.value) return []
    const rise = riseOver(line.value, chosen.value)
    return (line.value.marks ?? [])
      .filter(({ station: at, to: end = at }) => Math.max(at, end) >= from.value && Math.min(at, end) <= to.value)
      .map((mark) => {
        const model = markModel(mark, rise(nearest(line.value!, mark.station)), preferences.show)
        if (!model.isRun) return model
        // The words of a run stand where it is looked at.
        const [low, high] = [mark.station, mark.to ?? mark.station].sort((a, b) => a - b) as [Metres, Metres]
        return { ...model, at: [Math.min(high, Math.max(low, station.value)), model.at[1]] as const }
      })
  })

  const bayHeight = computed(() => heightOfBays(line.value?.height ?? 0, viewport.value))
  const dimensions = computed<Measure[]>(() => [
    ...(building() || strung() ? [] : (section.value?.dimensions ?? [])).map((dimension) =>
      shiftedBy(dimension, station.value),
    ),
    // Between strings on a narrow drawing the gaps have the room.
    ...((building() || (strung() && width.value >= NARROW)) && line.value
      ? bayDimensions(line.value, held.value?.id ?? chosen.value, bayHeight.value, held.value?.to)
      : []),
  ])
  const notes = computed<Note[]>(() => {
    if (width.value < NARROW) return []
    const pins = (post.value?.photographs ?? []).flatMap(({ id, height: at }, i): Note[] =>
      at === undefined ? [] : [{ key: `photo-${id}`, at: [0.05, at], text: `photo ${i + 1}`, side: 'right' }],
    )
    const soils = layerNotes(post.value ?? {}, (soil) => row(view.tables.value.soils, soil).name)
    const pulls = pull.value ? [pull.value.note] : []
    const here = [...(section.value?.notes ?? []), ...pins, ...pulls, ...soils].map((note) => ({
      ...note,
      at: [note.at[0] + station.value, note.at[1]] as const,
    }))
    const along = marks.value.map((mark): Note => ({ key: mark.key, at: mark.at, text: mark.label, side: 'right' }))
    return [...here, ...along]
  })
  /** Grips on the hole of the repair in hand, as they lie on the screen. */
  const grips = computed(() => {
    const method = view.drawnRepair.value?.method
    if (!pulling() || !method?.hole) return []
    const all = gripsOf(method.hole, method.concrete !== undefined)
    return gripsOnScreen(all, viewport.value, shift.value, station.value)
  })
  /** The word that stands over the upper string at the right. */
  const stringNameBox = computed(() => {
    const x = width.value - 10 - shift.value
    const y = viewport.value.groundY - stringAtEdge.value * scale.value - 8
    return boxOf({ x, y, text: 'string', style: 'name', anchor: 'end' }, preferences.figureScale)
  })
  const labels = computed(() => {
    const corner = {
      text: 'B77 · saturated medium sand',
      style: 'name',
      anchor: 'start',
      y: height.value - 12,
    } as const
    return placeLabels(
      [
        ...stringLabels(strings.value, chosen.value, viewport.value, {
          small: preferences.showSmall,
          length: preferences.show,
        }),
        ...dimensions.value.map((each) =>
          dimensionLabel(each, viewport.value, 0, dimensionWords(each, preferences.show)),
        ),
        ...notes.value.map((note) => noteLabel(note, viewport.value, 0)),
        ...(fence.value?.posts ?? []).map(({ id, station: at, rise }) =>
          nameLabel(`name-${id}`, id, px(at * scale.value), px(viewport.value.groundY - rise * scale.value + 22)),
        ),
      ],
      [
        boxOf({ ...corner, x: 12 - shift.value }, preferences.figureScale),
        ...grips.value.map(({ x, y }) => ({
          left: x - shift.value - GRIP_SEEN,
          right: x - shift.value + GRIP_SEEN,
          top: y - GRIP_SEEN,
          bottom: y + GRIP_SEEN,
        })),
        // Nothing is written beyond the edges of the drawing, nor cut off by them.
        ...(strings.value.length > 0 ? [stringNameBox.value] : []),
        { left: -FAR, right: -shift.value, top: -FAR, bottom: FAR },
        { left: width.value - shift.value, right: FAR, top: -FAR, bottom: FAR },
        { left: -FAR, right: FAR, top: -FAR, bottom: 0 },
        { left: -FAR, right: FAR, top: height.value, bottom: FAR },
      ],
      preferences.figureScale,
    )
  })

  const words = computed(() =>
    post.value && section.value
      ? [
          describeSection(post.value, section.value, preferences.show, view.drawnRepair.value?.method.name),
          ...(pull.value ? [pull.value.note.text] : []),
        ].join('; ')
      : '',
  )
  return {
    viewport,
    scale,
    station,
    shift,
    fence,
    section,
    layers,
    pull,
    ground,
    string,
    lowString,
    strings,
    knots,
    stringAtEdge,
    marks,
    dimensions,
    grips,
    labels,
    words,
    chosenInFence,
  }
}

function withHeldPost(line: ResolvedLine, held: ({ id: string } & Snapped) | undefined): ResolvedLine {
  if (!held) return line
  return { ...line, posts: line.posts.map((post) => (post.id === held.id ? { ...post, station: held.station } : post)) }
}

const nearest = ({ posts }: ResolvedLine, station: Metres) =>
  posts.reduce((best, post) => (Math.abs(post.station - station) < Math.abs(best.station - station) ? post : best))

const shiftedBy = ({ from, to, ...rest }: Measure, station: Metres): Measure => ({
  ...rest,
  from: [from[0] + station, from[1]],
  to: [to[0] + station, to[1]],
})

const dimensionWords = ({ length, words }: Measure, show: (length: Metres) => string) =>
  [show(length), words].filter(Boolean).join(' ')
