import { View } from 'react-native';

import { type NextStepId, useNextSteps } from '@/book/settings';
import { selectSettings, useAppSelector } from '@/book/state';
import { bookName, countryName } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/settings/nextSteps';
import { Act, Check, Txt, useColours, X } from '@/ui';

/** Where each of them is done. */
const PATHS: Readonly<Record<NextStepId, string>> = {
  country: '/settings',
  own: '/settings',
  hub: '/devices',
  backup: '/settings',
};

interface NextStepsProps {
  /** With those that are over, as in the settings; else the part goes when nothing is left. */
  readonly isWhole?: boolean;
}

/** What is worth doing once there are people in the book: each with why, the way there, and a way to let it be. */
export function NextSteps({ isWhole = false }: NextStepsProps) {
  const { steps, finish } = useNextSteps();
  const { country } = useAppSelector(selectSettings);
  const colours = useColours();
  const left = steps.filter(({ isOver }) => !isOver);
  if (bookName() === 'cordialis-demo' || (left.length === 0 && !isWhole)) return null;
  const done = steps.length - left.length;
  return (
    <View testID="next-steps">
      <View className="flex-row items-end justify-between border-b border-rule pb-[2px] pt-3">
        <Txt size="small" font="sansBold" heading={2}>
          {texts.worthDoing}
        </Txt>
        <Txt size="small" tone="faded" isFigures>
          {texts.doneOf(done, steps.length)}
        </Txt>
      </View>
      {(isWhole ? steps : left).map(({ id, isOver }) => {
        const { title, why, act } = texts.steps[id];
        return (
          <View
            key={id}
            className="min-h-[48px] flex-row items-center gap-2 border-b border-rule py-1"
            testID={`step-${id}`}
          >
            <View className="min-w-0 flex-1">
              <Txt font="serif" size="strong" tone={isOver ? 'faded' : 'ink'}>
                {id === 'country' ? texts.country(countryName(country)) : title}
              </Txt>
              <Txt size="small" tone="faded">
                {why}
              </Txt>
            </View>
            {isOver ? (
              <View aria-label={texts.done} role="img" className="min-w-[44px] items-center">
                <Check size={20} strokeWidth={1.75} color={colours.moss} />
              </View>
            ) : (
              <>
                {/* What is done in the settings is already in sight there. */}
                {isWhole && PATHS[id] === '/settings' ? null : (
                  <Act label={act} name={`${act}: ${title}`} onPress={() => go(PATHS[id])} />
                )}
                <Act
                  label={id === 'country' ? texts.thatIsRight : texts.letBe(title)}
                  icon={id === 'country' ? Check : X}
                  iconOnly
                  tone="faded"
                  onPress={() => finish(id)}
                />
              </>
            )}
          </View>
        );
      })}
    </View>
  );
}
