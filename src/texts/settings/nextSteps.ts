/** What is worth doing once there are people in a book. */
export const texts = {
  worthDoing: 'Worth doing',
  doneOf: (done: number, all: number) => `${done} of ${all} done`,
  done: 'Done',
  country: (name: string) => `Your country: ${name}`,
  thatIsRight: 'That is right',
  letBe: (title: string) => `Not needed: ${title}`,
  steps: {
    country: {
      title: 'Your country',
      why: 'Numbers without a country code are read as its own.',
      act: 'Change',
    },
    own: {
      title: 'Your own addresses',
      why: 'They tell what you wrote from what was written to you.',
      act: 'Add',
    },
    hub: {
      title: 'More than this browser',
      why: 'So far the book is here only. A hub brings it to your other devices.',
      act: 'Pair',
    },
    backup: {
      title: 'A first backup',
      why: 'One file with everything, to put away.',
      act: 'Create',
    },
  },
};
