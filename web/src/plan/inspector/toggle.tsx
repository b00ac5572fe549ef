import Typography from '@mui/material/Typography';

/** Yes or no, with its words. */
export function Toggle({
  label,
  isOn,
  onChange,
}: {
  readonly label: string;
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
}) {
  return (
    <Typography component="label" variant="body2" sx={{ display: 'flex', alignItems: 'center', gap: 0.75, cursor: 'pointer' }}>
      <input
        type="checkbox"
        checked={isOn}
        onChange={(event) => {
          onChange(event.target.checked);
        }}
        style={{ margin: 0 }}
      />
      {label}
    </Typography>
  );
}
