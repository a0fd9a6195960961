{{-- A piece as it hangs: a file that browsers keep. --}}
<img class="hung-picture" src="{{ $hung->address }}" width="{{ $hung->width }}" height="{{ $hung->height }}" alt=""
    loading="lazy" decoding="async">
