import { useQueryClient } from '@tanstack/vue-query'
import { api, data, type Agenda, type AgendaSession, type BatchRun, type ScheduleChange } from '../api/client'
import { useNotice } from '../shared/notice'
import { t } from '../text'
import { dayOf } from '../shared/dates'

/** The schedule as it was asked for. */
interface Planned {
  agenda: Agenda
  holds: { id: number; revision: number; record: ScheduleChange }[]
}

const at = (moment: string) => Date.parse(moment)

/** What a maker changes of the schedule: a session skipped, a step not before another session, a step split. */
export function useScheduleChanges(
  planned: () => Planned | undefined,
  dayAndClock: (moment: string) => string,
) {
  const notice = useNotice()
  const queries = useQueryClient()
  const refresh = () => queries.invalidateQueries({ queryKey: ['schedule'] })

  async function attempt(work: () => Promise<unknown>) {
    try {
      await work()
    } catch (thrown) {
      notice.fail(thrown)
    }
    await refresh()
  }
  const hold = (body: ScheduleChange, message: string) =>
    attempt(async () => {
      const { undo } = await data(api.POST('/api/schedule/changes', { body }))
      notice.did(message, undo, refresh)
    })
  const letGo = (id: number, revision: number) =>
    attempt(async () => {
      const body = { revision, archived: true }
      const { undo } = await data(
        api.POST('/api/schedule/changes/{id}/archive', { params: { path: { id } }, body }),
      )
      notice.did(t('schedule-view-unpinned'), undo, refresh)
    })
  const skip = (session: AgendaSession) =>
    hold(
      { skipped: { from: session.from } },
      t('schedule-view-left-out', { day: dayOf(session.day), clock: session.clock }),
    )
  function workAfterAll(session: AgendaSession) {
    const held = planned()?.holds.find(
      ({ record }) => 'skipped' in record && Math.abs(at(record.skipped.from) - at(session.from)) < 60_000,
    )
    if (held) void letGo(held.id, held.revision)
  }

  const nameOf = (of: BatchRun['of'], step_n: number) => {
    const runs = (planned()?.agenda.sessions ?? []).flatMap((one) => one.runs)
    const own = runs.filter((run) => JSON.stringify(run.of) === JSON.stringify(of))
    const step = own.flatMap((run) => run.steps).find((one) => one.step_n === step_n)
    return step ? `${step.named}, ${own[0]?.name}` : t('schedule-view-step', { stepn: step_n })
  }
  /** A change in a sentence. */
  const describe = (record: ScheduleChange) => {
    if ('skipped' in record)
      return t('schedule-view-skipped-session', { from: dayAndClock(record.skipped.from) })
    if ('parted' in record) {
      const { of, step_n, first_n, at } = record.parted
      return t('schedule-view-first-others-not-before', {
        stepn: nameOf(of, step_n),
        firstn: first_n,
        at: dayAndClock(at),
      })
    }
    const { of, step_n, at } = record['not-before']
    return t('schedule-view-not-before', { stepn: nameOf(of, step_n), at: dayAndClock(at) })
  }
  return { refresh, hold, letGo, skip, workAfterAll, describe }
}
