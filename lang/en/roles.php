<?php

declare(strict_types=1);

return ['owner' => 'an owner', 'teacher' => 'a teacher', 'helper' => 'a helper'];
