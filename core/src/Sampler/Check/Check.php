<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler\Check;

use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Words;

/** A way of judging the values of one reading. */
interface Check
{
    /**
     * @param  list<float|null>  $values  as many as the field takes; null is not read yet
     * @return CheckResult|null null while too little has been read
     */
    public function judge(Field $field, array $values, Words $words): ?CheckResult;
}
