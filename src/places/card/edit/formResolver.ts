import { zodResolver } from '@hookform/resolvers/zod';

import { cardFormSchema } from '@/core/card';

/** The schema of the form as react-hook-form asks for it. */
export const formResolver = zodResolver(cardFormSchema);
