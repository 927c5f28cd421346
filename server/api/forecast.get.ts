import { getQuery } from 'h3'
import { useRuntimeConfig } from 'nitropack/runtime'
import { readForecast } from '../forecast/service'
import { answering } from '../http/answering'

/** `?place=&from=&hours=`: the forecast hour by hour; `&mood=` where the demo jobs are, for trying. */
export default answering((event) => readForecast(getQuery(event), new Date(), isForTrying()))

const isForTrying = (): boolean => Boolean(useRuntimeConfig().seedDemo)
