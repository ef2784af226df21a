<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Invitation;
use App\Models\PlanSession;
use App\Models\Role;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\User;
use App\Records\Facts;
use App\Support\QrCode;
use Carbon\CarbonImmutable;

/** The studio as its people see it: owners all of it, others their classes. */
final readonly class ShowStudio
{
    public function __invoke(User $user): StudioView
    {
        $studio = $user->studio;
        $owner = $user->role === Role::Owner;
        $address = config()->string('app.url');
        $address = in_array(parse_url($address, PHP_URL_HOST), ['localhost', '127.0.0.1'], true) ? null : $address;

        return new StudioView(
            $studio->name, $studio->timezone, $studio->archive_after_days, $studio->delete_after_days, $studio->page_weeks, $owner ? Facts::of(Facts::LAST_BACKUP) : null,
            ! $owner ? [] : array_values(User::query()->where('studio_id', $studio->id)->orderBy('name')->get()->map(fn (User $u): PersonView => new PersonView($u->id, $u->name, $u->email, $u->role->value, $u->id === $user->id))->all()),
            ! $owner ? [] : array_values(Invitation::query()->whereNull('accepted_at')->where('expires_at', '>', now())->orderBy('id')->get()->map(fn (Invitation $i): InvitationView => new InvitationView($i->id, $i->email, $i->role->value, $i->expires_at->toIso8601ZuluString()))->all()),
            $this->classes($user), $this->gone(), $studio->deleted_at?->toIso8601ZuluString(),
            $address, $address === null ? [] : QrCode::rows($address), $address !== null && config()->boolean('app.own_authority'), config('mail.default') !== 'mailbox',
        );
    }

    /** @return list<StudioClassView> in use first, then put away, then deleted */
    private function classes(User $user): array
    {
        $classes = SewingClass::query()->withTrashed()->withCount('enrolments')
            ->addSelect(['ended_on' => PlanSession::query()->selectRaw('max(plan_sessions.starts_at)')->join('course_plans', 'course_plans.id', '=', 'plan_sessions.course_plan_id')->whereColumn('course_plans.class_id', 'classes.id')])
            ->orderByRaw('deleted_at is not null')->orderByRaw('archived_at is not null')->orderByDesc('id')->get();
        $views = [];
        foreach ($classes as $class) {
            $ended = $class->getAttribute('ended_on');
            $count = $class->getAttribute('enrolments_count');
            $views[] = new StudioClassView(
                $class->id, $class->name, is_numeric($count) ? (int) $count : 0, is_string($ended) ? CarbonImmutable::parse($ended, 'UTC')->setTimezone($user->studio->timezone)->format('Y-m-d') : null,
                $class->shared, $class->made_by === $user->id, $class->archived_at?->toIso8601ZuluString(), $class->deleted_at?->toIso8601ZuluString(), $class->deleted_at?->addDays(Remove::UNDO_DAYS)->format('Y-m-d'),
            );
        }

        return $views;
    }

    /** @return list<GoneStudentView> */
    private function gone(): array
    {
        return array_values(Student::query()->onlyTrashed()->withCount('samples')->orderByDesc('deleted_at')->get()->map(function (Student $s): GoneStudentView {
            $count = $s->getAttribute('samples_count');

            return new GoneStudentView($s->id, $s->name, is_numeric($count) ? (int) $count : 0, $s->deleted_at?->addDays(Remove::UNDO_DAYS)->format('Y-m-d') ?? '');
        })->all());
    }
}
