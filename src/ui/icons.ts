/**
 * The icons in use, each from a file of its own: the package's index would bring all two thousand along.
 */
export { default as ArrowDown } from 'lucide-react-native/icons/arrow-down';
export { default as ArrowDownAZ } from 'lucide-react-native/icons/arrow-down-a-z';
export { default as ArrowUp } from 'lucide-react-native/icons/arrow-up';
export { default as BookOpen } from 'lucide-react-native/icons/book-open';
export { default as Brush } from 'lucide-react-native/icons/brush';
export { default as Check } from 'lucide-react-native/icons/check';
export { default as ChevronDown } from 'lucide-react-native/icons/chevron-down';
export { default as ChevronLeft } from 'lucide-react-native/icons/chevron-left';
export { default as Copy } from 'lucide-react-native/icons/copy';
export { default as Download } from 'lucide-react-native/icons/download';
export { default as Ellipsis } from 'lucide-react-native/icons/ellipsis';
export { default as ExternalLink } from 'lucide-react-native/icons/external-link';
export { default as Globe } from 'lucide-react-native/icons/globe';
export { default as Link } from 'lucide-react-native/icons/link';
export { default as List } from 'lucide-react-native/icons/list';
export { default as Mail } from 'lucide-react-native/icons/mail';
export { default as MapPin } from 'lucide-react-native/icons/map-pin';
export { default as MessageSquare } from 'lucide-react-native/icons/message-square';
export { default as Minus } from 'lucide-react-native/icons/minus';
export { default as Pencil } from 'lucide-react-native/icons/pencil';
export { default as Phone } from 'lucide-react-native/icons/phone';
export { default as Plus } from 'lucide-react-native/icons/plus';
export { default as Printer } from 'lucide-react-native/icons/printer';
export { default as Search } from 'lucide-react-native/icons/search';
export { default as Send } from 'lucide-react-native/icons/send';
export { default as Settings2 } from 'lucide-react-native/icons/settings-2';
export { default as Smartphone } from 'lucide-react-native/icons/smartphone';
export { default as Square } from 'lucide-react-native/icons/square';
export { default as SquareCheck } from 'lucide-react-native/icons/square-check';
export { default as Star } from 'lucide-react-native/icons/star';
export { default as Sun } from 'lucide-react-native/icons/sun';
export { default as Trash } from 'lucide-react-native/icons/trash';
export { default as Upload } from 'lucide-react-native/icons/upload';
export { default as X } from 'lucide-react-native/icons/x';
export type { LucideIcon as Icon } from 'lucide-react-native';
