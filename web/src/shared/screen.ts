/** Media queries of the sizes that Leiter is made for: from 360 px by thumb, from 700 px with panels beside each other. */
export const onPhone = '@media (max-width: 699px)';
export const onWide = '@media (min-width: 700px)';
/** Where a finger points: what is pressed is at least 44 px high. */
export const onTouch = '@media (pointer: coarse)';
