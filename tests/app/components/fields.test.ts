// @vitest-environment happy-dom
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeAll, describe, expect, test, vi } from 'vitest'
import { h, nextTick } from 'vue'
import { array, object } from 'yup'
import { mergedDraft } from '~/composables/useDraftForm'
import { withoutPath } from '~/composables/useBoundField'
import ChoiceField from '~/ui/fields/ChoiceField.vue'
import ListField from '~/ui/fields/ListField.vue'
import MoneyField from '~/ui/fields/MoneyField.vue'
import NumberField from '~/ui/fields/NumberField.vue'
import TextField from '~/ui/fields/TextField.vue'
import TickField from '~/ui/fields/TickField.vue'
import TicksField from '~/ui/fields/TicksField.vue'
import YesNoField from '~/ui/fields/YesNoField.vue'
import { differences } from '~/utils/differences'
import { RequestError } from '~/data/requestError'
import { stateTag } from '#shared/text/stateTag'
import { currencyCode, decimalText, finite, line, name, oneOf, share, text, yesOrNo } from '#shared/fields'
import { mountForm, registerComponents } from './mounted'

beforeAll(() => registerComponents(['FormField', 'DateField']))
afterEach(() => {
  localStorage.clear()
  document.body.innerHTML = ''
})

const schema = object({
  title: name(),
  note: line(),
  place: text().nullable().default(null),
  price: decimalText().required(),
  currency: currencyCode().required(),
  shipping: decimalText().nullable().default(null),
  months: finite().min(0).nullable().default(null),
  risk: share().nullable().default(null),
  kind: oneOf(['used', 'new']).required(),
  drive: oneOf(['nvme', 'sata']).nullable().default(null),
  listed: yesOrNo().default(false),
  wifi: yesOrNo().optional(),
  words: array().of(text().defined()).default([]),
})
type Values = ReturnType<typeof schema.validateSync>
const initial: Values = {
  title: 'Card',
  note: '',
  place: null,
  price: '10.00',
  currency: 'CAD',
  shipping: null,
  months: null,
  risk: 0.08,
  kind: 'used',
  drive: null,
  listed: false,
  wifi: undefined,
  words: ['oem'],
}
const field = (component: object, props: object) =>
  mountForm<Values>({ schema: schema as never, initial }, () => [h(component, props as never)])

describe('a field binds itself to its path', () => {
  test.each([
    // what is typed, and what stands in the form: unknown is null, never 0
    [NumberField, { name: 'months', label: 'warranty' }, '24', 24],
    [NumberField, { name: 'months', label: 'warranty' }, '', null],
    [NumberField, { name: 'risk', label: 'risk, %', per: 100 }, '12.5', 0.125],
    [NumberField, { name: 'months', label: 'warranty', absent: true }, '', undefined],
    [TextField, { name: 'place', label: 'place', optional: true }, ' ', null],
    [TextField, { name: 'place', label: 'place', optional: true }, 'Marrow Quay', 'Marrow Quay'],
    [TextField, { name: 'note', label: 'note' }, '', ''],
    [MoneyField, { name: 'shipping', label: 'shipping', optional: true }, '', null],
    [MoneyField, { name: 'shipping', label: 'shipping', optional: true }, ' 9.50 ', '9.50'],
  ])('%# typed', async (component, props, typed, expected) => {
    const { wrapper, form } = field(component, props)
    await wrapper.find('input').setValue(typed)
    expect(form.values[props.name as keyof Values]).toEqual(expected)
  })
  test('a share is shown in percent without the noise of binary fractions', () => {
    const { wrapper } = field(NumberField, { name: 'risk', label: 'risk', per: 100 })
    expect(wrapper.find('input').element.value).toBe('8')
  })
  test('a choice: words or pairs; an unset one is null and says what it means', async () => {
    const { wrapper, form } = field(ChoiceField, {
      name: 'drive',
      label: 'drive',
      none: 'not stated',
      options: { nvme: 'NVMe', sata: 'SATA' },
    })
    expect(wrapper.findAll('option').map((each) => each.text())).toEqual(['not stated', 'NVMe', 'SATA'])
    await wrapper.find('select').setValue('sata')
    expect(form.values.drive).toBe('sata')
    await wrapper.find('select').setValue('')
    expect(form.values.drive).toBeNull()
  })
  test('a yes or no may be not known', async () => {
    const { wrapper, form } = field(YesNoField, { name: 'wifi', label: 'wireless' })
    expect(wrapper.find('select').element.value).toBe('')
    await wrapper.find('select').setValue('no')
    expect(form.values.wifi).toBe(false)
    await wrapper.find('select').setValue('')
    expect(form.values.wifi).toBeUndefined()
  })
  test('ticks and lists', async () => {
    const { wrapper, form } = mountForm<Values>({ schema: schema as never, initial }, () => [
      h(TickField, { name: 'listed', label: 'listed' }),
      h(ListField, { name: 'words', label: 'words' }),
      h(TicksField as never, {
        name: 'words',
        options: [
          ['oem', 'maker’s own'],
          ['tray', 'no box'],
        ],
      }),
    ])
    await wrapper.find('input[type=checkbox]').setValue(true)
    const list = wrapper.find('input:not([type=checkbox])')
    expect((list.element as HTMLInputElement).value).toBe('oem')
    await list.setValue('oem, , tray ')
    expect(form.values).toMatchObject({ listed: true, words: ['oem', 'tray'] })
    await wrapper.findAll('input[type=checkbox]')[1]!.trigger('change')
    expect(form.values.words).toEqual(['tray'])
  })
  test('an amount with the currency beside it: the code in capitals, one message for both', async () => {
    const { wrapper, form } = field(MoneyField, { name: 'price', currencyName: 'currency', label: 'ask' })
    const [amount, code] = wrapper.findAll('input')
    await code!.setValue('sek')
    expect(form.values).toMatchObject({ price: '10.00', currency: 'SEK' })
    await code!.setValue('XXQ')
    await vi.waitFor(() => expect(wrapper.text()).toContain('is not a known currency code'))
    await amount!.setValue('ten')
    await vi.waitFor(() => expect(wrapper.text()).toContain('is not an amount; write digits with a point'))
  })
})

describe('a field is known by its label', () => {
  test('the visible label names it; a message describes it and marks it', async () => {
    const { wrapper, form } = field(TextField, { name: 'title', label: 'title' })
    const input = wrapper.find('input')
    expect(wrapper.find('label').attributes('for')).toBe(input.attributes('id'))
    expect(input.attributes('aria-label')).toBeUndefined()
    await input.setValue('')
    await form.submit()
    await nextTick()
    expect(input.attributes('aria-invalid')).toBe('true')
    const note = wrapper.find(`#${input.attributes('aria-describedby')}`)
    expect(note.text()).toBe('enter a value')
    await input.setValue('Board')
    await vi.waitFor(() => expect(input.attributes('aria-invalid')).toBeUndefined())
  })
  test('bare: spoken only; spoken: where the visible label alone would be ambiguous', () => {
    expect(
      field(NumberField, { name: 'months', label: 'average of target 1', bare: true })
        .wrapper.find('input')
        .attributes('aria-label'),
    ).toBe('average of target 1')
    const { wrapper } = field(TextField, { name: 'note', label: 'note', spoken: 'note on the run' })
    expect([wrapper.find('label').text(), wrapper.find('input').attributes('aria-label')]).toEqual([
      'note',
      'note on the run',
    ])
  })
  test('a message that begins with the path loses it, another does not', () => {
    expect(withoutPath('price: enter an amount', 'price')).toBe('enter an amount')
    expect(withoutPath('rates[0].averageFps must be more than 0', 'rates[0].averageFps')).toBe(
      'must be more than 0',
    )
    expect(withoutPath('who says so?', 'by')).toBe('who says so?')
    expect(withoutPath(undefined, 'by')).toBeUndefined()
  })
})

describe('a draft form', () => {
  const typed = async (input: { setValue(value: string): Promise<unknown> }, value: string) => {
    await input.setValue(value)
    await flushPromises()
  }
  const titled = () => [h(TextField, { name: 'title', label: 'title' })]

  test('what is typed outlives a reload, valid or not, and is forgotten when it is saved', async () => {
    const save = vi.fn(async (_body: Values) => undefined)
    const options = { key: 'draft', schema: schema as never, initial, save }
    const first = mountForm<Values>(options, titled)
    await typed(first.wrapper.find('input'), '')
    expect(await first.form.submit()).toBe(false)
    expect(save).not.toHaveBeenCalled()
    first.wrapper.unmount()

    const second = mountForm<Values>(options, titled)
    expect([second.form.wasKept, second.form.values.title]).toEqual([true, ''])
    await typed(second.wrapper.find('input'), 'Board')
    expect(await second.form.submit()).toBe(true)
    expect(save.mock.calls[0]![0]).toMatchObject({ title: 'Board', months: null })
    expect(localStorage.getItem('draft')).toBeNull()
  })
  test('what the server sent is no draft; only what is typed after it is kept', async () => {
    const load = async () => ({ ...initial, title: 'as saved' })
    const { wrapper, form } = mountForm<Values>(
      { key: 'old', schema: schema as never, initial, load },
      titled,
    )
    await flushPromises()
    expect(form.values.title).toBe('as saved')
    expect(localStorage.getItem('old')).toBeNull()
    await typed(wrapper.find('input'), 'changed')
    expect(JSON.parse(localStorage.getItem('old')!)).toMatchObject({ draft: { title: 'changed' } })
  })
  test('what is typed while the saved state is on its way stays', async () => {
    let arrive = (_saved: Values) => {}
    const load = () => new Promise<Values>((resolve) => (arrive = resolve))
    const { wrapper, form } = mountForm<Values>({ key: null, schema: schema as never, initial, load }, titled)
    await typed(wrapper.find('input'), 'typed at once')
    arrive({ ...initial, title: 'as saved', months: 7 })
    await flushPromises()
    expect(form.values).toMatchObject({ title: 'typed at once', months: 7 })
  })
  test('pressed before the saved state has come it waits, and is sent once', async () => {
    let arrive = (_saved: Values) => {}
    const load = () => new Promise<Values>((resolve) => (arrive = resolve))
    const save = vi.fn(async (_body: Values) => undefined)
    const { form } = mountForm<Values>(
      { schema: schema as never, initial: { ...initial, title: '' }, load, save },
      titled,
    )
    const presses = Promise.all([form.submit(), form.submit()])
    await flushPromises()
    expect([save.mock.calls.length, form.busy.value]).toEqual([0, true])
    arrive({ ...initial, title: 'as saved' })
    expect(await presses).toEqual([true, false])
    expect(save.mock.calls.map(([body]) => body.title)).toEqual(['as saved'])
  })
  test('a saved state that cannot be had is said, and nothing is sent over it', async () => {
    const save = vi.fn(async (_body: Values) => undefined)
    const load = () => Promise.reject(new RequestError('there is no lead "x"', '', 404))
    const { form } = mountForm<Values>({ schema: schema as never, initial, load, save }, titled)
    await flushPromises()
    expect(form.failure.value).toBe('there is no lead "x"')
    expect(await form.submit()).toBe(false)
    expect(save).not.toHaveBeenCalled()
  })
  test('a refusal stands in the server’s own words and nothing is lost', async () => {
    const save = async () => {
      throw new RequestError('there is one of that name', 'name', 409)
    }
    const { wrapper, form } = mountForm<Values>(
      { key: 'draft', schema: schema as never, initial, save },
      titled,
    )
    await typed(wrapper.find('input'), 'Twice')
    expect(await form.submit()).toBe(false)
    expect([form.failure.value, form.busy.value]).toEqual(['there is one of that name', false])
    expect(JSON.parse(localStorage.getItem('draft')!)).toMatchObject({ draft: { title: 'Twice' } })
  })
  test('changed meanwhile by another tab: both states stand there, and the builder says which', async () => {
    const theirs = { ...initial, title: 'theirs' }
    const tags: (string | undefined)[] = []
    const save = async (_: Values, was: string | undefined) => {
      tags.push(was)
      if (was !== stateTag(theirs))
        throw new RequestError(
          'the lead was changed meanwhile; nothing was overwritten',
          '',
          409,
          'changed-meanwhile',
          {},
          theirs,
        )
    }
    const options = { key: 'both', schema: schema as never, initial, isSaved: true, save }
    const { wrapper, form } = mountForm<Values>(options, titled)
    await typed(wrapper.find('input'), 'mine')
    expect(await form.submit()).toBe(false)
    expect(differences(form.conflict.value!.saved, form.values)).toEqual([
      { path: 'title', saved: 'theirs', mine: 'mine' },
    ])
    expect(await form.saveOver()).toBe(true)
    expect(tags).toEqual([stateTag(initial), stateTag(theirs)])
    expect([form.conflict.value, localStorage.getItem('both')]).toEqual([null, null])
  })
  test('what is saved may be kept instead; what was typed goes', async () => {
    const theirs = { ...initial, title: 'theirs' }
    const save = async () => {
      throw new RequestError('changed meanwhile', '', 409, 'changed-meanwhile', {}, theirs)
    }
    const { wrapper, form } = mountForm<Values>(
      { key: 'kept', schema: schema as never, initial, isSaved: true, save },
      titled,
    )
    await typed(wrapper.find('input'), 'mine')
    await form.submit()
    await form.takeSaved()
    expect(form.values.title).toBe('theirs')
    expect([form.conflict.value, form.failure.value, localStorage.getItem('kept')]).toEqual([null, '', null])
  })
  test('differences go by path into groups; missing, null and empty are the same', () => {
    expect(differences({ a: 1, g: { x: 'one', y: null } }, { a: 1, g: { x: 'two' }, list: [1] })).toEqual([
      { path: 'g.x', saved: 'one', mine: 'two' },
      { path: 'list', saved: '—', mine: '[1]' },
    ])
  })
  test('a tag is the same whatever the order of the keys, and another for another state', () => {
    expect(stateTag({ b: 1, a: [2] })).toBe(stateTag({ a: [2], b: 1, c: undefined }))
    expect(stateTag({ a: [1, 2] })).not.toBe(stateTag({ a: [2, 1] }))
    expect(stateTag(null)).toMatch(/^[0-9a-f]{16}$/)
  })
  test('what is typed while a save is on its way is not forgotten when it arrives', async () => {
    let arrive: (() => void) | undefined
    const save = () => new Promise<void>((resolve) => (arrive = resolve))
    const { wrapper, form } = mountForm<Values>(
      { key: 'race', schema: schema as never, initial, save },
      titled,
    )
    await typed(wrapper.find('input'), 'first')
    const saving = form.submit()
    await vi.waitFor(() => expect(arrive).toBeDefined())
    await typed(wrapper.find('input'), 'second')
    arrive!()
    expect(await saving).toBe(false)
    expect(JSON.parse(localStorage.getItem('race')!)).toMatchObject({ draft: { title: 'second' } })
  })
  test('saved by itself, one at a time: typed back to what is saved, a refusal on its way leaves nothing', async () => {
    vi.useFakeTimers()
    const sent: string[] = []
    let answer!: (refusal?: string) => void
    const save = ({ title }: Values) =>
      new Promise<void>((resolve, reject) => {
        sent.push(title)
        answer = (refusal) => (refusal ? reject(new RequestError(refusal, '', 400)) : resolve())
      })
    const { wrapper, form } = mountForm<Values>(
      { key: 'auto', schema: schema as never, initial, isSaved: true, save },
      titled,
    )
    const isSaved = ref(true)
    useAutosave(form, isSaved)
    const type = async (words: string) => {
      await wrapper.find('input').setValue(words)
      await vi.advanceTimersByTimeAsync(600)
    }
    await type('refused')
    await type('Card') // back to what is saved, while the other is on its way
    answer('no such card')
    await vi.advanceTimersByTimeAsync(600)
    expect([isSaved.value, form.failure.value, localStorage.getItem('auto')]).toEqual([true, '', null])
    await type('second')
    await type('third')
    expect(sent).toEqual(['refused', 'second'])
    answer()
    await vi.advanceTimersByTimeAsync(600)
    answer()
    await vi.advanceTimersByTimeAsync(0)
    expect([sent.at(-1), isSaved.value, localStorage.getItem('auto')]).toEqual(['third', true, null])
    vi.useRealTimers()
  })
  test('rows of a list are added and taken away by their place', async () => {
    const { form } = mountForm<Values>({ schema: schema as never, initial }, titled)
    form.append('words', 'tray')
    form.append('words', 'box')
    form.remove('words', 1)
    expect(form.values.words).toEqual(['oem', 'box'])
  })
  test('a draft of an earlier version gets what came since, group by group; lists are taken as they are', () => {
    const now = {
      name: '',
      rules: { patience: 'typical', machine: { roomC: null, colour: null } },
      list: [1, 2],
    }
    const kept = { name: 'Attic', rules: { machine: { roomC: 30 } }, list: [9] }
    expect(mergedDraft(now, kept as never)).toEqual({
      name: 'Attic',
      rules: { patience: 'typical', machine: { roomC: 30, colour: null } },
      list: [9],
    })
    expect(now.rules.machine.roomC).toBeNull()
  })
})
