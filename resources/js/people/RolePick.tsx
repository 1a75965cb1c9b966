import type { Role } from '../api/types';
import { ROLE_NAMES, ROLES } from './roles';

interface Props {
  label: string;
  value: Role | '';
  /** what stands where nothing is chosen; without it something always is */
  none?: string;
  disabled?: boolean;
  onChange: (role: Role | '') => void;
}

export function RolePick({ label, value, none, disabled = false, onChange }: Props) {
  return (
    <select
      aria-label={label}
      value={value}
      disabled={disabled}
      onChange={(e) => onChange(e.target.value as Role | '')}
      className="w-full"
    >
      {none !== undefined && <option value="">{none}</option>}
      {ROLE_NAMES.map((role) => (
        <option key={role} value={role}>
          {ROLES[role]}
        </option>
      ))}
    </select>
  );
}
