import { InputError } from '../errors'
import { LIMITS } from '../limits'
import type { CauseTables } from '../cause/tables'
import { postStates } from '../document/postState'
import type { Coordinates, Job, Line, Post } from '../document/job'
import type { Metres, Radians } from '../units/types'

/* A line on the earth, as GeoJSON (RFC 7946) has it. */

const EARTH_RADIUS: Metres = 6_371_008.8
const DEGREES = Math.PI / 180
/** A line that turns by more than this has a corner there. */
const CORNER: Radians = 25 * DEGREES

/**
 * Distance of two places over the ground, m.
 *
 * @source haversine on the mean radius of the earth, IUGG; within 0.5 % everywhere
 * @example distance([0, 52], [0.001, 52]) // 68.5 m
 */
export function distance([lon1, lat1]: Coordinates, [lon2, lat2]: Coordinates): Metres {
  const half = (degrees: number) => Math.sin((degrees * DEGREES) / 2) ** 2
  const share = half(lat2 - lat1) + Math.cos(lat1 * DEGREES) * Math.cos(lat2 * DEGREES) * half(lon2 - lon1)
  return 2 * EARTH_RADIUS * Math.asin(Math.min(1, Math.sqrt(share)))
}

/** Where each point of a course lies along it, m from its start. */
export function stationsOf(course: readonly Coordinates[]): Metres[] {
  let at = 0
  return course.map((point, i) => (at += i === 0 ? 0 : distance(course[i - 1]!, point)))
}

/** The place at a station along the course; beyond its ends, the end. */
export function placeAt(course: readonly Coordinates[], station: Metres): Coordinates {
  const stations = stationsOf(course)
  const i = stations.findIndex((at) => at >= station)
  if (i <= 0) return course[i < 0 ? course.length - 1 : 0]!
  const share = (station - stations[i - 1]!) / (stations[i]! - stations[i - 1]!)
  const [from, to] = [course[i - 1]!, course[i]!]
  return [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])]
}

/**
 * The first LineString of a GeoJSON document: its course.
 *
 * @throws InputError naming what is missing or wrong
 */
export function readCourse(document: unknown): Coordinates[] {
  const line = firstLine(document)
  if (!line) throw new InputError('type', typeOf(document), 'GeoJSON with a LineString in it')
  const { coordinates } = line
  if (!Array.isArray(coordinates) || coordinates.length < 2 || coordinates.length > LIMITS.posts)
    throw new InputError('coordinates', lengthOf(coordinates), `a list of 2 to ${LIMITS.posts} places`)
  return coordinates.map((place: unknown, i) => readPlace(place, `coordinates[${i}]`))
}

const typeOf = (document: unknown) => (document as { type?: unknown } | null)?.type
const lengthOf = (value: unknown) => (Array.isArray(value) ? value.length : value)

function firstLine(document: unknown): { coordinates: unknown } | undefined {
  if (typeof document !== 'object' || document === null) return undefined
  const { type, features, geometry } = document as Record<string, unknown>
  if (type === 'LineString') return document as { coordinates: unknown }
  if (type === 'Feature') return firstLine(geometry)
  if (type !== 'FeatureCollection' || !Array.isArray(features)) return undefined
  for (const feature of features) {
    const found = firstLine(feature)
    if (found) return found
  }
  return undefined
}

function readPlace(place: unknown, key: string): Coordinates {
  const [longitude, latitude, height] = Array.isArray(place) ? (place as unknown[]) : []
  const inRange = (value: unknown, most: number) => typeof value === 'number' && Math.abs(value) <= most
  if (!inRange(longitude, 180) || !inRange(latitude, 90))
    throw new InputError(key, place, 'longitude from -180 to 180 and latitude from -90 to 90 degrees')
  return typeof height === 'number'
    ? [longitude as number, latitude as number, height]
    : [longitude as number, latitude as number]
}

/**
 * A line with a post at every point of a course: stations from its length, levels from its heights, corners
 * where it turns.
 *
 * @param id of the line, with which its posts are numbered
 * @throws InputError when two points share a place
 */
export function lineFromCourse(course: readonly Coordinates[], id: string): Line {
  const stations = stationsOf(course).map((station) => Math.round(station * 1e3) / 1e3)
  const first = course[0]![2]
  const posts = course.map((place, i): Post => {
    if (i > 0 && stations[i]! <= stations[i - 1]!)
      throw new InputError(`coordinates[${i}]`, place, 'at least a millimetre from the point before')
    const height = place[2]
    return {
      id: `${id}${i + 1}`,
      station: stations[i]!,
      ...(first !== undefined && height !== undefined ? { groundLevel: Math.round((height - first) * 1e3) / 1e3 } : {}),
      ...(turnsAt(course, i) > CORNER ? { duty: 'corner' as const } : {}),
    }
  })
  return { id, length: stations[stations.length - 1]!, course: [...course], posts }
}

/**
 * Lines as {@link jobGeoJson} writes them, each with its posts; of any other file its first line, with a post at every
 * point.
 *
 * @param id of a line that has none in the file
 * @throws InputError naming what is missing or wrong
 */
export function linesOfGeoJson(document: unknown, id: string): Line[] {
  const features = ((document as { features?: unknown } | null)?.features ?? []) as Partial<OwnFeature>[]
  const own = Array.isArray(features) ? features.filter((each) => typeof each?.properties?.line === 'string') : []
  const lines = own.filter(({ geometry }) => geometry?.type === 'LineString')
  if (lines.length === 0) return [lineFromCourse(readCourse(document), id)]
  return lines.map((feature): Line => {
    const { line, name, kind, height } = feature.properties!
    const posts = own
      .filter(({ geometry, properties }) => geometry?.type === 'Point' && properties!.line === line)
      .map(({ properties }) => ownPost(properties!))
    const course = readCourse(feature)
    const made: Line = {
      id: line!,
      ...(name === undefined ? {} : { name }),
      ...(kind === undefined ? {} : { kind }),
      ...(height === undefined ? {} : { height }),
      course,
      posts: posts.length > 0 ? posts : lineFromCourse(course, line!).posts,
    }
    return made
  })
}

interface OwnFeature {
  geometry: { type: string }
  properties: Pick<Line, 'name' | 'kind' | 'height'> & { line: string; post?: string; repair?: string } & Partial<
      Pick<Post, 'station' | 'duty'>
    >
}

function ownPost({ post, station, duty, repair }: OwnFeature['properties']): Post {
  if (post === undefined || typeof station !== 'number')
    throw new InputError('post', post, 'with its name and its station')
  return {
    id: post,
    station,
    ...(duty === undefined ? {} : { duty }),
    ...(repair === undefined ? {} : { repair: { method: repair } }),
  }
}

function turnsAt(course: readonly Coordinates[], i: number): Radians {
  const [before, here, after] = [course[i - 1], course[i], course[i + 1]]
  if (!before || !here || !after) return 0
  const shrink = Math.cos(here[1] * DEGREES)
  const heading = (from: Coordinates, to: Coordinates) => Math.atan2((to[0] - from[0]) * shrink, to[1] - from[1])
  const turn = Math.abs(heading(here, after) - heading(before, here))
  return Math.min(turn, 2 * Math.PI - turn)
}

/**
 * Lines and posts on the earth.
 *
 * @throws InputError when no line of the job has a course
 */
export function jobGeoJson(job: Job, causes: CauseTables): { type: 'FeatureCollection'; features: unknown[] } {
  const placed = job.lines.filter((line) => line.course)
  if (placed.length === 0)
    throw new InputError('course', undefined, 'known for a line: bring it in from GeoJSON, or give the line its places')
  return { type: 'FeatureCollection', features: placed.flatMap((line) => lineFeatures(line, causes)) }
}

function lineFeatures({ id, name, kind, height, course, posts }: Line, causes: CauseTables): unknown[] {
  const states = postStates({ posts }, causes)
  const feature = (geometry: unknown, properties: unknown) => ({ type: 'Feature', geometry, properties })
  return [
    feature({ type: 'LineString', coordinates: course }, { line: id, name, kind, height }),
    ...posts.map((post, i) =>
      feature(
        { type: 'Point', coordinates: placeAt(course!, post.station) },
        {
          line: id,
          post: post.id,
          station: post.station,
          duty: post.duty,
          state: states[i],
          repair: post.repair?.method,
        },
      ),
    ),
  ]
}
