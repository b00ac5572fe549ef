import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { ageBands, doseText, regionWord, type Library, type Movement } from '@leiter/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { FigureRow } from '../../shared/figure-row';
import { surfaceWords } from '../../shared/household-words';
import { adultWords } from '../../shared/words';

/** Dose, body, what it needs at home, how an adult helps, cautions: the right-hand column of a movement's page. */
export function MovementNeeds({ movement, library }: { readonly movement: Movement; readonly library: Library }) {
  const { needs } = movement;
  const names = (slugs: readonly string[]): ReactNode =>
    slugs.map((slug, index) => (
      <span key={slug}>
        {index > 0 && ', '}
        <Link to={`/library/${slug}`}>{library.get(slug)?.name ?? slug}</Link>
      </span>
    ));
  return (
    <>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Dose by age</Trans>
      </Typography>
      <Box component="dl" sx={{ m: 0, mb: 2.5 }}>
        {ageBands.map((band) => {
          const dose = movement.dose[band];
          return <FigureRow key={band} label={t`${band} years`} value={dose ? doseText(dose) : t`not for this age`} />;
        })}
      </Box>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>The body</Trans>
      </Typography>
      <Box component="dl" sx={{ m: 0, mb: 2.5 }}>
        <FigureRow label={t`Readies`} value={movement.prepares.map(regionWord).join(', ') || '–'} />
        <FigureRow
          label={t`Loads`}
          value={movement.loads.map(({ region, amount }) => `${regionWord(region)} ${String(amount)}`).join(', ') || '–'}
        />
        <FigureRow label={t`Stretches`} value={movement.lengthens.map(regionWord).join(', ') || '–'} />
        {movement.undoneBy.length > 0 && <FigureRow label={t`Undone by`} value={names(movement.undoneBy)} />}
      </Box>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>At home it needs</Trans>
      </Typography>
      <Box component="dl" sx={{ m: 0, mb: 2.5 }}>
        <FigureRow
          label={t`Floor`}
          value={needs.surface === 'any-dry' ? t`any dry floor` : needs.surface.map((one) => surfaceWords[one]).join(', ')}
        />
        <FigureRow
          label={t`Space`}
          value={t`${needs.footprint.lengthM.toFixed(1)} × ${needs.footprint.widthM.toFixed(1)} m, ${needs.headroomM.toFixed(1)} m high`}
        />
        {needs.equipment.map((thing) => (
          <FigureRow key={thing} label={thing} value={movement.equipmentStandIns[thing]?.join(t`, or `) ?? ''} />
        ))}
        <FigureRow label={t`Adult`} value={adultWords[needs.adult]} />
        <FigureRow label={t`Noise`} value={needs.quiet.replaceAll('-', ' ')} />
        <FigureRow label={t`From`} value={plural(movement.leastAge, { one: '# year', other: '# years' })} />
      </Box>
      {movement.support !== null && (
        <>
          <Typography variant="h2">
            <Trans>How an adult helps</Trans>
          </Typography>
          <Typography sx={{ mb: 2 }}>{movement.support}</Typography>
        </>
      )}
      {movement.cautions.length > 0 && (
        <>
          <Typography variant="h2">
            <Trans>Cautions</Trans>
          </Typography>
          <ul style={{ marginTop: 4, paddingLeft: 20 }}>
            {movement.cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </>
      )}
      {movement.instead !== null && (
        <Box component="dl" sx={{ m: 0 }}>
          <FigureRow label={t`Instead`} value={names([movement.instead])} />
        </Box>
      )}
      <Typography variant="caption" component="p" sx={{ mt: 2 }}>
        <Trans>Usual cautions only. Your governing body’s rules, your training and medical advice come first.</Trans>
      </Typography>
    </>
  );
}
