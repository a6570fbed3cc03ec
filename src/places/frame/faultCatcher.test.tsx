import { renderDom } from '../../../test/unit/renderDom';
import { FaultCatcher } from './FaultCatcher';

function Broken(): never {
  throw new Error('the picture of it is damaged');
}

test('a page that can’t be drawn says so and why, and another address is drawn again', () => {
  // React names what it has caught on the console.
  const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const { page, redraw } = renderDom(
    <FaultCatcher address="/book/one">
      <Broken />
    </FaultCatcher>,
  );
  expect(page.textContent).toContain('This page could not be drawn');
  expect(page.textContent).toContain('the picture of it is damaged');
  redraw(
    <FaultCatcher address="/book/two">
      <p>Ada Lowther</p>
    </FaultCatcher>,
  );
  expect(page.textContent).toContain('Ada Lowther');
  said.mockRestore();
});
