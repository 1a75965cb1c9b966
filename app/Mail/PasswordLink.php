<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The address under which somebody chooses a password: invited, or having lost theirs. */
class PasswordLink extends Mailable
{
    public function __construct(private readonly User $person, private readonly string $token)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(
            subject: $this->person->invited_at === null ? 'Apron: another password' : 'Apron: you are invited',
        );
    }

    public function content(): Content
    {
        $broker = $this->person->invited_at === null ? 'users' : 'invited';

        return new Content(
            text: 'mail.password',
            with: [
                'name' => $this->person->name,
                'practice' => $this->person->organisation->name ?? '',
                'isInvited' => $this->person->invited_at !== null,
                'hours' => (int) config("auth.passwords.$broker.expire") / 60,
                'address' => rtrim((string) config('app.url'), '/').
                    '/password?'.
                    http_build_query(['email' => $this->person->email, 'token' => $this->token]),
            ],
        );
    }
}
