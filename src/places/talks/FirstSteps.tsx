import { Pressable, View } from 'react-native';

import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import {
  FileText,
  type Icon,
  linkProps,
  Mail,
  Plus,
  Server,
  Smartphone,
  Txt,
  Upload,
  useColours,
} from '@/ui';

const WAYS: readonly (readonly [path: string, icon: Icon, title: string, hint: string])[] = [
  ['/import', Upload, texts.inFile, texts.inFileHint],
  ['/devices/connect', Smartphone, texts.onPhone, texts.onPhoneHint],
  ['/devices/server', Server, texts.onServer, texts.onServerHint],
  ['/devices', Server, texts.onHub, texts.onHubHint],
  ['/import/talks', Mail, texts.inMail, texts.inMailHint],
  ['/import/text', FileText, texts.inSignature, texts.inSignatureHint],
  ['/book/new', Plus, texts.inHead, texts.inHeadHint],
];

/** An empty book asks one thing: where everybody is now. */
export function FirstSteps() {
  const colours = useColours();
  return (
    <View className="px-5 pt-2 wide:px-6" testID="first-steps">
      <Txt font="serif" size="title" heading={2}>
        {texts.whereArePeople}
      </Txt>
      {WAYS.map(([path, Icon, title, hint]) => (
        <Pressable
          key={path}
          role="link"
          aria-label={`${title}: ${hint}`}
          {...linkProps(path, () => go(path))}
          className="min-h-[56px] flex-row items-center gap-4 border-b border-rule py-2 hover:bg-leaf active:bg-leaf"
        >
          <Icon size={20} strokeWidth={1.75} color={colours.berry} />
          <View className="min-w-0 flex-1">
            <Txt>{title}</Txt>
            <Txt size="small" tone="faded">
              {hint}
            </Txt>
          </View>
        </Pressable>
      ))}
      <View className="pt-3">
        <Txt size="small" tone="faded">
          {texts.onlyInThisBrowser}
        </Txt>
      </View>
    </View>
  );
}
