import { useState } from 'react';
import { Pressable, View } from 'react-native';
import Svg, { Circle, G, Path, Rect } from 'react-native-svg';

import type { DeviceStatus } from '@/core/sync';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/sync/sync';
import { linkProps, Txt, useColours } from '@/ui';

import { devicePath } from './paths';
import { formatMoment } from './words';

/** In pixels: a device with its name, the book in the middle, a row. */
const [CELL, BOOK, ROW] = [96, 64, 104];
const HEAD = 6;

interface DevicePictureProps {
  readonly devices: readonly DeviceStatus[];
  /** Names of devices whose values are to settle. */
  readonly unsettled: ReadonlySet<string>;
  /** Milliseconds since 1970. */
  readonly now: number;
}

/** The book in the middle and the devices around it; lines with arrowheads for the direction, the last sync on the line. */
export function DevicePicture({ devices, unsettled, now }: DevicePictureProps) {
  const [width, setWidth] = useState(0);
  const colours = useColours();
  const rows = Math.max(1, Math.ceil(devices.length / 2));
  const height = rows * ROW;
  const middle = { x: width / 2, y: height / 2 };
  const placed = devices.map((device, i) => {
    // One alone on the last row stands under the book's other side only if there are several rows.
    const isLeft = i % 2 === 0;
    const y = Math.floor(i / 2) * ROW + ROW / 2;
    return { device, isLeft, y, x: isLeft ? CELL : width - CELL };
  });
  return (
    <View
      style={{ height }}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
      testID="device-picture"
    >
      {width === 0 ? null : (
        <>
          <View className="absolute inset-0" aria-hidden>
            <Svg width={width} height={height}>
              {placed.map(({ device, isLeft, x, y }) => (
                <Line
                  key={device.name}
                  from={{ x: middle.x + (isLeft ? -BOOK / 2 - 6 : BOOK / 2 + 6), y: middle.y }}
                  to={{ x: x + (isLeft ? 2 : -2), y }}
                  direction={device.direction}
                  colour={device.isPaused ? colours.rule : colours.faded}
                  isDashed={device.isPaused}
                  knot={unsettled.has(device.name) ? colours.ochre : undefined}
                />
              ))}
              <G x={middle.x - BOOK / 2} y={middle.y - 24}>
                <Path
                  d="M32 8 C24 2 12 1 2 3 V42 C12 40 24 41 32 47 C40 41 52 40 62 42 V3 C52 1 40 2 32 8 V47"
                  fill={colours.leaf}
                  stroke={colours.ink}
                  strokeWidth={1.75}
                  strokeLinejoin="round"
                />
              </G>
            </Svg>
          </View>
          {placed.map(({ device, isLeft, y }) => (
            <View
              key={device.name}
              className="absolute"
              style={{ top: y - ROW / 2, [isLeft ? 'left' : 'right']: 0 }}
            >
              <DeviceMark device={device} isUnsettled={unsettled.has(device.name)} now={now} />
            </View>
          ))}
        </>
      )}
    </View>
  );
}

function DeviceMark({
  device,
  isUnsettled,
  now,
}: {
  device: DeviceStatus;
  isUnsettled: boolean;
  now: number;
}) {
  const colours = useColours();
  const last = device.seen === null ? texts.neverSynced : formatMoment(device.seen, now);
  const words = [
    device.name,
    device.isPaused ? texts.pausedWord : texts.lastSync(last),
    isUnsettled ? texts.toSettle : '',
  ];
  return (
    <Pressable
      role="link"
      aria-label={words.filter(Boolean).join(', ')}
      {...linkProps(devicePath(device.name), () => go(devicePath(device.name)))}
      className="items-center justify-center rounded-[4px] hover:bg-leaf active:bg-leaf"
      style={{ width: CELL, height: ROW }}
    >
      <Svg width={40} height={36}>
        <Shape kind={device.standIn} colour={colours.ink} fill={colours.leaf} />
      </Svg>
      <Txt size="small" lines={1}>
        {device.name}
      </Txt>
      <Txt size="small" tone={isUnsettled ? 'ochre' : 'faded'} lines={1} isFigures>
        {device.isPaused ? texts.pausedWord : isUnsettled ? texts.toSettle : last}
      </Txt>
    </Pressable>
  );
}

/** What kind of device it is, by its outline. */
function Shape({ kind, colour, fill }: { kind: DeviceStatus['standIn']; colour: string; fill: string }) {
  const line = { stroke: colour, strokeWidth: 1.75, fill };
  switch (kind) {
    case 'phone':
      return (
        <>
          <Rect x={11} y={2} width={18} height={32} rx={4} {...line} />
          <Path d="M17 29h6" stroke={colour} strokeWidth={1.75} />
        </>
      );
    case 'mail':
      return (
        <>
          <Rect x={3} y={6} width={34} height={24} rx={2} {...line} />
          <Path d="M3 8 L20 21 L37 8" stroke={colour} strokeWidth={1.75} fill="none" />
        </>
      );
    case 'computer':
      return (
        <>
          <Rect x={6} y={4} width={28} height={20} rx={2} {...line} />
          <Path d="M2 30h36l-4-6H6z" {...line} />
        </>
      );
    case null:
      return (
        <>
          <Rect x={6} y={5} width={28} height={26} rx={4} {...line} />
          <Path d="M13 14h14M13 19h14M13 24h8" stroke={colour} strokeWidth={1.75} />
        </>
      );
  }
}

interface Point {
  readonly x: number;
  readonly y: number;
}

interface LineProps {
  readonly from: Point;
  readonly to: Point;
  readonly direction: DeviceStatus['direction'];
  readonly colour: string;
  readonly isDashed: boolean;
  /** The colour of a knot in the middle, where something is to settle. */
  readonly knot: string | undefined;
}

function Line({ from, to, direction, colour, isDashed, knot }: LineProps) {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  return (
    <>
      <Path
        d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
        stroke={colour}
        strokeWidth={1.75}
        {...(isDashed ? { strokeDasharray: '3 4' } : {})}
      />
      {direction === 'in' ? null : <Arrow at={to} angle={angle} colour={colour} />}
      {direction === 'out' ? null : <Arrow at={from} angle={angle + Math.PI} colour={colour} />}
      {knot === undefined ? null : <Circle cx={middle.x} cy={middle.y} r={5} fill={knot} />}
    </>
  );
}

function Arrow({
  at,
  angle,
  colour,
}: {
  readonly at: Point;
  readonly angle: number;
  readonly colour: string;
}) {
  const leg = (turn: number) =>
    `${at.x - HEAD * Math.cos(angle + turn)} ${at.y - HEAD * Math.sin(angle + turn)}`;
  return (
    <Path d={`M${leg(0.5)}L${at.x} ${at.y}L${leg(-0.5)}`} stroke={colour} strokeWidth={1.75} fill="none" />
  );
}
