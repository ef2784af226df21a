<?php

declare(strict_types=1);

namespace App\Places\Studio;

use OpenApi\Attributes as OA;

/** All about the studio, for whoever owns it. */
#[OA\Schema]
final readonly class StudioView
{
    /**
     * @param  list<PersonView>  $people
     * @param  list<InvitationView>  $invitations
     * @param  list<StudioClassView>  $classes
     * @param  list<GoneStudentView>  $gone
     * @param  list<string>  $address_code
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $timezone,
        #[OA\Property] public int $archive_after_days,
        #[OA\Property(nullable: true)] public ?int $delete_after_days,
        #[OA\Property] public int $page_weeks,
        #[OA\Property(nullable: true)] public ?string $last_backup,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PersonView::class))] public array $people,
        #[OA\Property(type: 'array', items: new OA\Items(ref: InvitationView::class))] public array $invitations,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudioClassView::class))] public array $classes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GoneStudentView::class))] public array $gone,
        #[OA\Property(nullable: true)] public ?string $deleted_at,
        #[OA\Property(description: 'where other devices open it; null where this machine alone does', nullable: true)] public ?string $address,
        #[OA\Property(description: 'the address as a QR code: rows of 1 (dark) and 0', type: 'array', items: new OA\Items(type: 'string'))] public array $address_code,
        #[OA\Property(description: 'the address is vouched for by this machine itself: a device is to trust it once')] public bool $own_authority,
        #[OA\Property(description: 'mail goes out; else it lies on the machine')] public bool $mails,
    ) {}
}
