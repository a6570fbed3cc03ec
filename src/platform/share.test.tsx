import { shareFile } from './share';

const share = jest.fn<Promise<void>, [unknown]>();
const saved: string[] = [];

beforeEach(() => {
  share.mockReset();
  saved.length = 0;
  Object.assign(navigator, { canShare: () => true, share });
  URL.createObjectURL = () => 'blob:test';
  URL.revokeObjectURL = () => undefined;
  HTMLAnchorElement.prototype.click = function click() {
    saved.push(this.download);
  };
});

const send = () => shareFile('ada.vcf', 'BEGIN:VCARD', 'text/vcard;charset=utf-8');

test('a device with a share sheet is handed the file with its kind', async () => {
  share.mockResolvedValue();
  expect(await send()).toBe('shared');
  const [{ files }] = share.mock.calls[0] as [{ files: File[] }];
  expect([files[0]?.name, files[0]?.type]).toEqual(['ada.vcf', 'text/vcard']);
  expect(saved).toEqual([]);
});

test('closing the share sheet saves nothing', async () => {
  share.mockRejectedValue(new DOMException('closed', 'AbortError'));
  expect(await send()).toBe('stopped');
  expect(saved).toEqual([]);
});

test('where sharing fails or is not there, the file is saved', async () => {
  share.mockRejectedValue(new Error('no application for it'));
  expect(await send()).toBe('saved');
  Object.assign(navigator, { canShare: undefined });
  expect(await send()).toBe('saved');
  expect(saved).toEqual(['ada.vcf', 'ada.vcf']);
});
