<?php

declare(strict_types=1);

return [
    'backup-old' => 'The last good backup is :days day old. Ask whoever looks after this Open Seam.|The last good backup is :days days old. Ask whoever looks after this Open Seam.',
    'file' => [
        'title' => 'What is kept of :name', 'wishes' => 'Wants to come to: :lessons. :machine', 'machine' => 'There is a machine at home.', 'no-machine' => 'No machine at home.',
        'class' => 'Class “:class”, seat :seat. Note of the teacher: :note', 'struck' => 'does not count',
    ],
    'privacy' => [
        'title' => 'What :studio keeps of you',
        'asked' => 'until you, or the studio, have it deleted',
        'days' => 'for :days days after the course at most',
        'lines' => [
            'Of a student we keep the name you go by in the room, the samples you sewed with what the ruler said, photos of samples where we took some, what you would like to sew, whether you have a machine at home and what it can do where you said so, what you asked or read by yourself on your own page, and a short note of the teacher. No address, no birthday, no full name.',
            'Only the people of this studio see it. A helper sees the samples of the evening, not the notes. Nobody else does: nothing is sent to anybody, and no log holds it.',
            'Classes that are over are put away after :archive days. We keep what you sewed :delete, so that it is there when you come back.',
            'You may see everything, have it as a file, have it put right, and have it deleted. Deleted things can be brought back for :undo days; then they are gone for good, photos too. In backups they end when those do.',
            'If you were given a private link to your own page, it works until :weeks weeks after the course. Do not pass it on; ask for a new one if you did.',
            'Ask the teacher. For children, their parents ask. Local rules come first.',
        ],
    ],
];
