<?php

declare(strict_types=1);

namespace App\Models;

use App\Mail\PasswordLink;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\Mail;

/**
 * @property string $id
 * @property string $organisation_id
 * @property string $name
 * @property string $email
 * @property Role $role in the projects of the practice, where a project says nothing else
 * @property bool $admin invites people, and says what they do
 * @property bool $guest of another house: sees the projects that they were asked into, and no others
 * @property int $generation raised to close what is open under the account
 * @property \Illuminate\Support\Carbon|null $invited_at and has chosen no password yet
 * @property \Illuminate\Support\Carbon|null $left_at when they left; what they wrote stays under their name
 * @property Organisation|null $organisation
 */
class User extends Authenticatable
{
    use HasUlids;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = ['admin' => false, 'guest' => false, 'generation' => 1];

    /** @var array<string, Role|null> by project, asked for once in a request */
    private array $roles = [];

    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'left_at' => 'datetime',
            'invited_at' => 'datetime',
            'admin' => 'boolean',
            'guest' => 'boolean',
        ];
    }

    /** @return BelongsTo<Organisation, $this> */
    public function organisation(): BelongsTo
    {
        return $this->belongsTo(Organisation::class);
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** What they do in a project: as it says of them, else as in its practice; null where they are nobody there. */
    public function roleIn(Project $project): ?Role
    {
        if (! array_key_exists($project->id, $this->roles)) {
            $asked = $this->memberships()->where('project_id', $project->id)->first()?->role;
            $isOurs = $this->organisation_id === $project->organisation_id && ! $this->guest;
            $this->roles[$project->id] = $asked ?? ($isOurs ? $this->role : null);
        }

        return $this->roles[$project->id];
    }

    /** Everything that is open under this account is closed; whoever does it signs in again. */
    public function closeSessions(): void
    {
        $this->newQuery()->whereKey($this->id)->increment('generation');
    }

    public function sendPasswordResetNotification(#[\SensitiveParameter] $token): void
    {
        Mail::to($this->email)->send(new PasswordLink($this, $token));
    }
}
