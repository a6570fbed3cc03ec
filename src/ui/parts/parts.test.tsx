import { act } from 'react';
import { View } from 'react-native';

import { renderDom } from '../../../test/unit/renderDom';
import {
  Act,
  Choice,
  EmptyPlace,
  Field,
  isForm,
  ListRow,
  NextAct,
  NoticeBar,
  OfferField,
  ProgressLine,
  Stamp,
  Switch,
  Tabs,
  Tick,
  Txt,
} from '..';

const nothing = () => undefined;

test('a person’s stamp stands upright, 4:5, an organisation’s lies, 5:4, and neither is read out', () => {
  const shapeOf = (isOrg: boolean) => {
    const box = renderDom(<Stamp initials="AL" isOrg={isOrg} />).page.firstElementChild as HTMLElement;
    expect(box.getAttribute('aria-hidden')).toBe('true');
    expect(box.textContent).toBe('AL');
    const style = getComputedStyle(box);
    return Number.parseFloat(style.width) / Number.parseFloat(style.height);
  };
  expect(shapeOf(false)).toBeCloseTo(4 / 5, 5);
  expect(shapeOf(true)).toBeCloseTo(5 / 4, 5);
});

test('a field says its error instead of its hint, and the error belongs to it', () => {
  const drawn = renderDom(<Field label="Mail" value="x" onChange={nothing} hint="any" />);
  const input = () => drawn.get('input');
  expect([input().getAttribute('aria-label'), input().getAttribute('aria-invalid')]).toEqual(['Mail', null]);
  drawn.redraw(<Field label="Mail" value="x" onChange={nothing} hint="any" error="no mail address" />);
  expect(input().getAttribute('aria-invalid')).toBe('true');
  const noteId = input().getAttribute('aria-describedby') ?? '';
  expect(document.getElementById(noteId)?.textContent).toBe('no mail address');
  expect(drawn.page.textContent).not.toContain('any');
});

test('Enter in a line of a form presses its next act where that can be done; in a field of several lines it doesn’t', () => {
  const done = jest.fn();
  const form = (isDisabled: boolean, isLong = false) => (
    <View {...isForm}>
      <Field label="Name" value="Ada" onChange={nothing} isLong={isLong} />
      <NextAct label="Save" onPress={done} isDisabled={isDisabled} />
    </View>
  );
  const drawn = renderDom(form(true));
  const enter = () =>
    act(() => {
      const field = drawn.page.querySelector('input, textarea');
      field?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
    });
  enter();
  expect(done).not.toHaveBeenCalled();
  drawn.redraw(form(false, true));
  enter();
  expect(done).not.toHaveBeenCalled();
  drawn.redraw(form(false));
  enter();
  expect(done).toHaveBeenCalledTimes(1);
  drawn.redraw(<Field label="Name" value="Ada" onChange={nothing} />);
  enter();
  expect(done).toHaveBeenCalledTimes(1);
});

test('a field hands on what is typed', () => {
  const typed = jest.fn();
  const drawn = renderDom(<Field label="Name" value="" onChange={typed} />);
  drawn.type(drawn.get('input'), 'Ada');
  expect(typed).toHaveBeenCalledWith('Ada');
});

test('Enter takes the first sure one of what a text may mean, once that is known', () => {
  const taken: string[] = [];
  const offer = (key: string, isSure: boolean) => ({
    ...{ key, title: key, second: '', name: `Take ${key}`, isSure },
    onPress: () => void taken.push(key),
  });
  const field = (isKnown: boolean, value = 'a') => (
    <OfferField
      {...{ label: 'To', value, isKnown, placeholder: '', testID: 'to', onChange: nothing }}
      offers={[offer('like', false), offer('meant', true), offer('other', true)]}
    />
  );
  const drawn = renderDom(field(true));
  const enter = () =>
    act(() => {
      const key = new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true });
      drawn.get('to').dispatchEvent(key);
    });
  enter();
  expect(taken).toEqual(['meant']);
  drawn.redraw(field(false));
  enter();
  expect(taken).toEqual(['meant']);
  drawn.redraw(field(true));
  expect(taken).toEqual(['meant', 'meant']);
  // What is typed after it is another line.
  drawn.redraw(field(false));
  enter();
  drawn.redraw(field(true, 'ab'));
  expect(taken).toHaveLength(2);
});

test('of a choice one is ticked, and another can be', () => {
  const chosen = jest.fn();
  const options = [
    ['a', 'First'],
    ['b', 'Second'],
  ] as const;
  const drawn = renderDom(<Choice name="Order" options={options} value="a" onChange={chosen} />);
  const [first, second] = drawn.all('radio');
  expect([first, second].map((radio) => radio?.getAttribute('aria-checked'))).toEqual(['true', 'false']);
  expect([first, second].map((radio) => radio?.querySelector('svg') !== null)).toEqual([true, false]);
  if (second) drawn.press(second);
  expect(chosen).toHaveBeenCalledWith('b');
});

test('a switch says in a word whether it is on', () => {
  const changed = jest.fn();
  const drawn = renderDom(<Switch label="Particles" isOn={false} onChange={changed} />);
  expect(drawn.get('switch').textContent).toContain('Off');
  drawn.press(drawn.get('switch'));
  expect(changed).toHaveBeenCalledWith(true);
  drawn.redraw(<Switch label="Particles" isOn onChange={changed} />);
  expect([drawn.get('switch').textContent, drawn.get('switch').getAttribute('aria-checked')]).toEqual([
    'ParticlesOn',
    'true',
  ]);
});

test('tabs tell which is chosen', () => {
  const changed = jest.fn();
  const options = [
    ['all', 'All'],
    ['people', 'People'],
  ] as const;
  const drawn = renderDom(<Tabs name="Which" options={options} value="all" onChange={changed} />);
  const [, people] = drawn.all('radio');
  expect(people?.getAttribute('aria-checked')).toBe('false');
  if (people) drawn.press(people);
  expect(changed).toHaveBeenCalledWith('people');
});

test('a message is read out, an error at once, and offers Undo only where there is something to take back', () => {
  const undo = jest.fn();
  const drawn = renderDom(<NoticeBar text="Deleted Ada" tone="plain" onUndo={undo} onClose={nothing} />);
  drawn.press(drawn.get('notice-undo'));
  expect(undo).toHaveBeenCalledTimes(1);
  drawn.redraw(<NoticeBar text="Not saved" tone="error" onClose={nothing} />);
  expect(() => drawn.get('notice-undo')).toThrow();
});

test('Space turns a switch and a tick, as Enter and a press do', () => {
  const turned: string[] = [];
  const drawn = renderDom(
    <>
      <Switch label="Private" isOn={false} onChange={(isOn) => turned.push(`switch ${isOn}`)} />
      <Tick name="Ada" isOn onChange={(isOn) => turned.push(`tick ${isOn}`)}>
        <Txt>Ada</Txt>
      </Tick>
    </>,
  );
  for (const role of ['switch', 'checkbox']) {
    const event = new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true });
    act(() => void drawn.get(role).dispatchEvent(event));
    // Else the page would scroll.
    expect(event.defaultPrevented).toBe(true);
  }
  expect(turned).toEqual(['switch true', 'tick false']);
});

test('arrows choose the next of a group and go round; the Tab key stops at the chosen one', () => {
  const chosen: string[] = [];
  const options = [
    ['a', 'Alto'],
    ['b', 'Bass'],
    ['c', 'Cello'],
  ] as const;
  for (const Group of [Tabs, Choice]) {
    chosen.length = 0;
    const drawn = renderDom(
      <Group name="Voice" options={options} value="a" onChange={(one) => chosen.push(one)} />,
    );
    const radios = [...drawn.page.querySelectorAll<HTMLElement>('[role="radio"]')];
    expect(radios.map((radio) => radio.tabIndex)).toEqual([0, -1, -1]);
    for (const key of ['ArrowRight', 'ArrowDown', 'ArrowLeft', 'ArrowUp', ' '])
      act(() => void radios[0]?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true })));
    expect(chosen).toEqual(['b', 'b', 'c', 'c', 'a']);
    expect(document.activeElement).toBe(radios[2]);
  }
});

test('progress is said in words and figures, and can be stopped', () => {
  const stop = jest.fn();
  const drawn = renderDom(<ProgressLine text="Reading 5 cards" share01={0.256} onStop={stop} />);
  expect(drawn.get('progressbar').getAttribute('aria-valuenow')).toBe('26');
  drawn.press(drawn.get('button'));
  expect(stop).toHaveBeenCalled();
});

test('an act without room for its word keeps it for screen readers; a disabled one does nothing', () => {
  const pressed = jest.fn();
  const drawn = renderDom(<Act label="Clear" iconOnly onPress={pressed} isDisabled />);
  expect([drawn.get('button').textContent, drawn.get('button').getAttribute('aria-label')]).toEqual([
    '',
    'Clear',
  ]);
  drawn.press(drawn.get('button'));
  expect(pressed).not.toHaveBeenCalled();
});

test('a row is a real link, and a plain press stays within the application', () => {
  const pressed = jest.fn();
  const drawn = renderDom(
    <ListRow title="Ada" second="Tuner" stamp={null} href="/book/a" onPress={pressed} />,
  );
  const link = drawn.get('a');
  expect([link.getAttribute('href'), link.getAttribute('aria-label')]).toEqual(['/book/a', 'Ada, Tuner']);
  const click = new MouseEvent('click', { bubbles: true, cancelable: true });
  link.dispatchEvent(click);
  expect(pressed).toHaveBeenCalledTimes(1);
  expect(click.defaultPrevented).toBe(true);
});

test('a press with Ctrl is the browser’s: it opens another page', () => {
  const pressed = jest.fn();
  const drawn = renderDom(<ListRow title="Ada" stamp={null} href="/book/a" onPress={pressed} />);
  const click = new MouseEvent('click', { bubbles: true, cancelable: true, ctrlKey: true });
  drawn.get('a').addEventListener('click', (event) => event.preventDefault());
  drawn.get('a').dispatchEvent(click);
  expect(pressed).not.toHaveBeenCalled();
});

test('a place that is coming says so in a word', () => {
  const { page } = renderDom(<EmptyPlace title="Lists" text="People picked together." isComing />);
  expect(page.textContent).toBe('ListsComingPeople picked together.');
});

test('a heading has its level', () => {
  const drawn = renderDom(<Txt heading={2}>Phone</Txt>);
  expect(drawn.page.querySelector('h2')?.textContent).toBe('Phone');
});
