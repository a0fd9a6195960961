{{-- One line of what is kept by count or length: how much is there, what it costs, when to say that it runs low. --}}
@props(['action', 'ulid', 'name', 'amount', 'there', 'price', 'per' => 'each', 'low', 'problem' => null])
<li class="py-2 min-w-0 border-b border-rule">
    <p class="flex items-center gap-2 min-w-0">{{ $slot }}</p>
    <div class="flex flex-wrap items-end gap-x-3 gap-y-1">
        <form class="bar !items-end" method="post" action="{{ $action }}">@csrf @method('put')
            @foreach ([[$amount, 'there', $there, '!w-24'], ['price', $per, $price?->text() ?? '', '!w-24'], ['low', 'low below', $low, '!w-20']] as [$field, $label, $value, $width])
                <span class="field"><label for="{{ $field }}-{{ $ulid }}">{{ $label }}<span class="sr-only">, {{ $name }}</span></label><input class="in {{ $width }} !min-h-9 text-right" id="{{ $field }}-{{ $ulid }}" name="{{ $field }}" value="{{ $value }}" autocomplete="off"></span>
            @endforeach
            <button type="submit" class="tool" aria-label="set {{ $name }}">set</button></form>
        <form method="post" action="{{ $action }}">@csrf @method('delete')<button type="submit" class="word small" aria-label="take out {{ $name }}">take out</button></form>
    </div>
    <x-problem :for="$amount.'.'.$ulid" :problem="$problem" />
</li>
